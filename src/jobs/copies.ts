import { type Runtime, runAct } from "../acts/act/act";
import { reportCopy } from "../acts/copies/copies";
import { printDossier } from "../formats/print/dossier";
import { printFormCopy } from "../formats/print/form-copy";
import { sentence } from "../text/sentence";
import { formCopy, suppliedInOrder } from "../views/application/form-copy";
import { applicationOfCopy, type CopyWork, copyWork, forAssessors, uploadedBytes } from "../views/copies/copy-work";

/** Copies that are made for the office are in its language. */
const LOCALE = "en";
const NOTHING_LEFT_OUT: ReadonlyMap<string, readonly number[]> = new Map();

/** One application in print, with its documents where they are asked for; null where the application is gone. */
async function printOne(
  { pool, now }: Runtime,
  { applicationId, reader, documents, name }: CopyWork,
): Promise<Buffer | null> {
  const application = await applicationOfCopy(pool, applicationId, now());
  if (!application) return null;
  const { summaries, leftOut } =
    reader === "assessors" ? await forAssessors(pool, applicationId) : { summaries: [], leftOut: NOTHING_LEFT_OUT };
  const form = await printFormCopy(formCopy(application, name, LOCALE, reader, summaries), LOCALE, now());
  if (!documents) return Buffer.from(form);
  const all = [];
  for (const { uploadId, title } of suppliedInOrder(application, LOCALE, reader)) {
    const upload = await uploadedBytes(pool, uploadId);
    const without = leftOut.get(uploadId) ?? [];
    if (upload) all.push({ title, mediaType: upload.mediaType, bytes: new Uint8Array(upload.bytes), without });
  }
  return Buffer.from(await printDossier(form, application.number, all, sentence(LOCALE, "copy.leftOut")));
}

/**
 * Makes the copies of an order one after the other; each reports, so that the page shows how far it is, and one that fails keeps none back.
 * @throws once all are made, with the reasons of those that failed, for the log; the queue's next try finds nothing left to make
 */
export async function makeCopies(runtime: Runtime, orderId: string): Promise<void> {
  const failures: unknown[] = [];
  for (const work of await copyWork(runtime.pool, orderId)) {
    const bytes = await printOne(runtime, work).catch((failure: unknown) => {
      failures.push(failure);
      return null;
    });
    await runAct(runtime, reportCopy, { kind: "system" }, { orderId, applicationId: work.applicationId, bytes });
  }
  const [first] = failures;
  if (first !== undefined)
    throw new AggregateError(failures, `${failures.length} copies could not be made: ${String(first)}`);
}
