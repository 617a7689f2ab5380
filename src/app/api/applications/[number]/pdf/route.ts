import type { CopyReader } from "../../../../../core/form/readers";
import { webRuntime } from "../../../../../runtime";
import { sentence } from "../../../../../text/sentence";
import type { MyApplication } from "../../../../../views/application/application-data";
import { formCopy, suppliedInOrder } from "../../../../../views/application/form-copy";
import { myApplication, officeCopy } from "../../../../../views/application/my-application";
import { document, documentBytes } from "../../../../../views/evidence/document";
import type { Identity } from "../../../../../views/people/identity";
import { identity, locale, see } from "../../../../request";
import { disposition } from "../../../disposition";

/** An application for whoever may read it whole: the person whose it is, or the office that works on it. */
async function readable(
  person: Identity,
  number: string,
): Promise<{ readonly application: MyApplication; readonly name: string; readonly own: boolean } | null> {
  const own = await see(myApplication, person.actor, { number });
  if (own) return { application: own, name: person.actor.name, own: true };
  const office = await see(officeCopy, person.actor, { number });
  return office && { ...office, own: false };
}

async function documentsOf(person: Identity, application: MyApplication, language: "en" | "fr", reader: CopyReader) {
  const { pool } = await webRuntime();
  const all = [];
  for (const { uploadId, title } of suppliedInOrder(application, language, reader)) {
    const known = await see(document, person.actor, { uploadId });
    if (!known) continue;
    const chunks: Buffer[] = [];
    for await (const chunk of documentBytes(pool, known)) chunks.push(chunk);
    all.push({ title, mediaType: known.mediaType, bytes: new Uint8Array(Buffer.concat(chunks)) });
  }
  return all;
}

/** All answers of an application as PDF, in the language of the reader's pages; with its documents where they are asked for. */
export async function GET(request: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  const person = await identity();
  const found = person ? await readable(person, number) : null;
  if (!person || !found) return new Response("This is not here.", { status: 404 });
  const { application, name, own } = found;
  const language = await locale();
  const whole = new URL(request.url).searchParams.get("documents") === "1";
  const reader = own ? "applicant" : "office";
  const { workshop } = await webRuntime();
  const printed = await workshop.run(
    "print",
    {
      copy: formCopy(application, name, language, reader),
      locale: language,
      at: Date.parse(application.now),
      dossier: whole
        ? {
            number,
            documents: await documentsOf(person, application, language, reader),
            leftOut: sentence(language, "copy.leftOut"),
          }
        : null,
    },
    `person:${person.actor.id}`,
  );
  if (typeof printed === "string") return new Response(sentence(language, "copy.notPrinted"), { status: 503 });
  return new Response(Buffer.from(printed), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": disposition(`Unvex ${number}.pdf`),
      "x-content-type-options": "nosniff",
      "cache-control": "private, no-store",
    },
  });
}
