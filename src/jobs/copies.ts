import { type Runtime, runAct } from "../acts/act";
import { reportCopy } from "../acts/copies";
import { printDossier } from "../formats/print/dossier";
import { printFormCopy } from "../formats/print/form-copy";
import { say } from "../text/say";
import { applicationOfCopy, type CopyWork, copyWork, uploadedBytes } from "../views/copy-work";
import { formCopy, suppliedInOrder } from "../views/form-copy";

/** Copies that are made for the office are in its language. */
const LOCALE = "en";

/** One application in print, with its documents where they are asked for; null where the application is gone. */
async function printOne(
  { pool, now }: Runtime,
  { applicationId, reader, documents, name }: CopyWork,
): Promise<Buffer | null> {
  const application = await applicationOfCopy(pool, applicationId, now());
  if (!application) return null;
  const form = await printFormCopy(formCopy(application, name, LOCALE, reader), LOCALE, now());
  if (!documents) return Buffer.from(form);
  const all = [];
  for (const { uploadId, title } of suppliedInOrder(application, LOCALE, reader)) {
    const upload = await uploadedBytes(pool, uploadId);
    if (upload) all.push({ title, mediaType: upload.mediaType, bytes: new Uint8Array(upload.bytes) });
  }
  return Buffer.from(await printDossier(form, application.number, all, say(LOCALE, "copy.leftOut")));
}

/** Makes the copies of an order one after the other; each reports, so that the page shows how far it is, and one that fails keeps none back. */
export async function makeCopies(runtime: Runtime, orderId: string): Promise<void> {
  for (const work of await copyWork(runtime.pool, orderId)) {
    const bytes = await printOne(runtime, work).catch(() => null);
    await runAct(runtime, reportCopy, { kind: "system" }, { orderId, applicationId: work.applicationId, bytes });
  }
}
