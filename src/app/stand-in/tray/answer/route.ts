import { keepTrayAnswer } from "../../../../acts/mail/tray-answers";
import { composeAnswer } from "../../../../outside/mailbox";
import { webRuntime } from "../../../../runtime";
import { readForm } from "../../../api/read-body";
import { isSameOrigin } from "../../../api/same-origin";
import { perform, SYSTEM } from "../../../request";
import { isTrayOpen } from "../open";

const MOST_BYTES = 30 * 1024 * 1024;

const word = (form: FormData, name: string): string => {
  const value = form.get(name);
  return typeof value === "string" ? value : "";
};

/** Sends a mail to the office from a mailbox of the stand-in, as a mail program would. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request)) || !(await isTrayOpen())) return new Response("not found", { status: 404 });
  const form = await readForm(request, MOST_BYTES);
  if (form === "too-large" || form === "cut-off") return new Response("too large", { status: 413 });
  const { settings } = await webRuntime();
  const files = form.getAll("files").filter((f): f is File => f instanceof File && f.size > 0);
  const raw = await composeAnswer({
    from: word(form, "from"),
    to: settings.mailFrom,
    subject: word(form, "subject"),
    text: word(form, "text"),
    answers: word(form, "answers") || null,
    files: await Promise.all(files.map(async (f) => ({ name: f.name, bytes: Buffer.from(await f.arrayBuffer()) }))),
  });
  await perform(keepTrayAnswer, SYSTEM, { raw });
  return new Response(null, { status: 303, headers: { location: "/stand-in/tray?sent=1" } });
}
