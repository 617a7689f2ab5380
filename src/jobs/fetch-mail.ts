import { createHash } from "node:crypto";
import { type Runtime, runAct } from "../acts/act/act";
import { receiveMail } from "../acts/conversation/incoming";
import { MOST_ATTACHED } from "../core/conversation/incoming";
import type { LookedMail } from "../formats/workshop/tasks";
import type { Workshop } from "../formats/workshop/workshop";
import type { Mailbox } from "../outside/mailbox";

interface Context {
  readonly runtime: Runtime;
  readonly mailbox?: Mailbox | null;
  readonly workshop: Pick<Workshop, "run">;
}

const SYSTEM = { kind: "system" } as const;

/** One that cannot be read is kept as such, once: somebody has to look into the mailbox. */
const unreadable = (raw: Buffer) => ({
  messageId: `<unreadable.${createHash("sha256").update(raw).digest("hex")}>`,
  kind: "written" as const,
  from: { address: "", name: "" },
  subject: "",
  text: "",
  written: "",
  answers: [],
  returned: null,
  files: [],
  left: [],
});

/** A mail that was read, as the act takes it. */
export function taken({ looked, more, answers, ...mail }: LookedMail) {
  return {
    ...mail,
    answers: [...answers],
    files: looked.flatMap((part) => (part.verdict === "store" ? [part] : [])),
    left: [
      ...looked.flatMap((part) => (part.verdict === "refuse" ? [{ name: part.name, reason: part.reason }] : [])),
      ...more.map((name) => ({ name, reason: "too_many" })),
    ],
  };
}

/** Fetches what came in. Each mail is read in a process of its own, and is off the mailbox only once it is kept. */
export async function fetchMail({ runtime, mailbox, workshop }: Context): Promise<void> {
  await mailbox?.fetch(async (raw) => {
    const read = await workshop.run("read-mail", { raw, most: MOST_ATTACHED }, "mailbox");
    if (read === "busy") throw new Error("the workshop is busy");
    const mail = read === "too-hard" || read === null ? unreadable(raw) : taken(read);
    const kept = await runAct(runtime, receiveMail, SYSTEM, mail);
    if (!kept.ok) await runAct(runtime, receiveMail, SYSTEM, unreadable(raw));
  });
}
