import "pdfjs-dist/build/pdf.worker.min.mjs";

/**
 * Reads PDFs outside the page's own thread. Somebody who leaves a document while it is still being read ends the reading, and
 * the library then rejects a promise that nobody holds any more: that is no defect, and the console stays silent about it.
 */
self.addEventListener("unhandledrejection", (event) => {
  if (event.reason instanceof Error && event.reason.message === "Worker was terminated") event.preventDefault();
});
