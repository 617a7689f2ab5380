import { type Runtime, runAct } from "../acts/act/act";
import { reportCopy } from "../acts/copies/copies";
import type { DossierDocument } from "../formats/print/dossier";
import type { Workshop } from "../formats/workshop/workshop";
import { sentence } from "../text/sentence";
import { formCopy, suppliedInOrder } from "../views/application/form-copy";
import { applicationOfCopy, type CopyWork, copyWork, forAssessors, uploadedBytes } from "../views/copies/copy-work";

const NOTHING_LEFT_OUT: ReadonlyMap<string, readonly number[]> = new Map();

interface CopyContext {
  readonly runtime: Runtime;
  readonly workshop: Pick<Workshop, "run">;
}

/** One application in print, with its documents where they are asked for; null where the application is gone. */
async function printOne(
  { runtime: { pool, now }, workshop }: CopyContext,
  { applicationId, reader, documents, locale, name }: CopyWork,
): Promise<Buffer | null> {
  const application = await applicationOfCopy(pool, applicationId, now());
  if (!application) return null;
  const { summaries, leftOut } =
    reader === "assessors" ? await forAssessors(pool, applicationId) : { summaries: [], leftOut: NOTHING_LEFT_OUT };
  const all: DossierDocument[] = [];
  for (const { uploadId, title, range } of documents ? suppliedInOrder(application, locale, reader) : []) {
    const upload = await uploadedBytes(pool, uploadId, reader);
    const without = leftOut.get(uploadId) ?? [];
    if (upload) all.push({ title, mediaType: upload.mediaType, bytes: new Uint8Array(upload.bytes), range, without });
  }
  const printed = await workshop.run(
    "print",
    {
      copy: formCopy(application, name, locale, reader, summaries),
      locale,
      at: now().getTime(),
      dossier: documents
        ? {
            number: application.number,
            documents: all,
            words: {
              contents: sentence(locale, "copy.contents"),
              form: sentence(locale, "copy.form"),
              left: sentence(locale, "copy.leftOut"),
            },
          }
        : null,
    },
    applicationId,
  );
  if (typeof printed === "string")
    throw new Error(`the copy of ${application.number} could not be printed: ${printed}`);
  return Buffer.from(printed);
}

/**
 * Makes the copies of an order one after the other; each reports, so that the page shows how far it is, and one that fails keeps none back.
 * @throws once all are made, with the reasons of those that failed, for the log; the queue's next try finds nothing left to make
 */
export async function makeCopies(ctx: CopyContext, orderId: string): Promise<void> {
  const { runtime } = ctx;
  const failures: unknown[] = [];
  for (const work of await copyWork(runtime.pool, orderId)) {
    const bytes = await printOne(ctx, work).catch((failure: unknown) => {
      failures.push(failure);
      return null;
    });
    await runAct(runtime, reportCopy, { kind: "system" }, { orderId, applicationId: work.applicationId, bytes });
  }
  const [first] = failures;
  if (first !== undefined)
    throw new AggregateError(failures, `${failures.length} copies could not be made: ${String(first)}`);
}
