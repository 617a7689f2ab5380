import { printFormCopy } from "../../../../../formats/print/form-copy";
import { formCopy } from "../../../../../ui/form-copy";
import { myApplication } from "../../../../../views/my-application";
import { identity, locale, see } from "../../../../request";
import { disposition } from "../../../disposition";

/** All answers of an application as PDF, for the person whose it is, in the language of their pages. */
export async function GET(_: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  const person = await identity();
  const application = person ? await see(myApplication, person.actor, { number }) : null;
  if (!person || !application) return new Response("This is not here.", { status: 404 });
  const language = await locale();
  const copy = formCopy(application, person.actor.name, language);
  const bytes = await printFormCopy(copy, language, new Date(application.now));
  return new Response(bytes, {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": disposition(`Unvex ${number}.pdf`),
      "x-content-type-options": "nosniff",
      "cache-control": "private, no-store",
    },
  });
}
