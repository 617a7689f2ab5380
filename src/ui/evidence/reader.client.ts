"use client";

import { pdfjs } from "react-pdf";

/** One reader for all documents of the page, which is never ended: ending it with the document that is left would leave the next one without. */
export const READER = {
  verbosity: pdfjs.VerbosityLevel.ERRORS,
  worker: pdfjs.PDFWorker.create({
    port: new Worker(new URL("../workers/document-reader.ts", import.meta.url), { type: "module" }),
    verbosity: pdfjs.VerbosityLevel.ERRORS,
  }),
};
