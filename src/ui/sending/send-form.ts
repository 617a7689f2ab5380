import { SENDING_PART_BYTES } from "../../core/evidence/limits";
import type { Picture } from "../../core/rulebook/requirement";
import { mostBytesOf, type Takes } from "../../core/rulebook/takes";
import type { Locale } from "../../core/text/local-text";
import { formatBytes } from "../../text/format";
import { isTextKey, sentence } from "../../text/sentence";

/** How far it is, in per cent, and whether it waits for the line to come back. */
export type Progress = (percent: number, waits: boolean) => void;

/**
 * Sends a form with progress; `fetch` does not tell how far it is.
 * @param heads what is said before the body, which is read only where that may be
 */
export function sendForm(
  url: string,
  form: FormData,
  onProgress: (percent: number) => void,
  heads: Readonly<Record<string, string>> = {},
): Promise<{ readonly status: number; readonly body: unknown }> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", url);
    for (const [name, value] of Object.entries(heads)) request.setRequestHeader(name, value);
    request.upload.onprogress = (e) => onProgress(e.lengthComputable ? Math.round((100 * e.loaded) / e.total) : 0);
    request.onerror = () => reject(new Error("network"));
    request.onload = () => {
      let body: unknown = null;
      try {
        body = JSON.parse(request.responseText);
      } catch {
        // no JSON: the status alone tells
      }
      resolve({ status: request.status, body });
    };
    request.send(form);
  });
}

/** So long is waited before it is tried again, one time after the other; what gets through begins the row anew. */
const AGAIN_MS = [500, 1000, 2000, 4000, 8000, 15_000, 15_000, 15_000, 15_000, 15_000];

/**
 * Sends a file in parts. Where the line breaks it goes on by itself where it stopped; where it stays broken, choosing the same file again
 * goes on, too, also after the page was left.
 * @returns what it is called on its way
 */
async function sendInParts(file: File, onProgress: Progress): Promise<string> {
  const { Upload } = await import("tus-js-client");
  return new Promise((resolve, reject) => {
    let arrived = 0;
    const upload = new Upload(file, {
      endpoint: "/api/sendings",
      chunkSize: SENDING_PART_BYTES,
      retryDelays: AGAIN_MS,
      metadata: { filename: file.name },
      removeFingerprintOnSuccess: true,
      onProgress: (sent, of) => onProgress(Math.round((100 * sent) / of), false),
      onShouldRetry: (error) => {
        const status = error.originalResponse?.getStatus() ?? 0;
        const again = status === 0 || status >= 500 || status === 409 || status === 423;
        if (again) onProgress(Math.round((100 * arrived) / file.size), true);
        return again;
      },
      onChunkComplete: (_size, accepted) => {
        arrived = accepted;
      },
      onError: reject,
      onSuccess: () => resolve(upload.url?.split("/").at(-1) ?? ""),
    });
    void upload.findPreviousUploads().then(([last]) => {
      if (last) upload.resumeFromPreviousUpload(last);
      upload.start();
    });
  });
}

/**
 * Sends one file; a large one in parts. Where it is to go stands in the address, so that it is known before a byte of it is read.
 */
export async function sendFile(
  url: string,
  place: Readonly<Record<string, string>>,
  file: File,
  onProgress: Progress,
): ReturnType<typeof sendForm> {
  if (file.size <= SENDING_PART_BYTES) {
    const form = new FormData();
    form.set("file", file);
    return sendForm(`${url}?${new URLSearchParams(place)}`, form, (percent) => onProgress(percent, false));
  }
  const sending = await sendInParts(file, onProgress);
  return sendForm(`${url}?${new URLSearchParams({ ...place, sending })}`, new FormData(), () => undefined);
}

/** The sentence for a refused document. */
export function refusedText(locale: Locale, body: unknown, picture: Picture | null = null, takes: Takes = {}): string {
  const answer = typeof body === "object" && body !== null ? (body as { reason?: string; document?: string }) : {};
  const key = answer.document ? `doc.refused.${answer.document}` : `refused.${answer.reason ?? ""}`;
  return isTextKey(key)
    ? sentence(locale, key, {
        size: formatBytes(locale, mostBytesOf(takes)),
        pages: takes.mostPages ?? 0,
        check: "",
        ...picture,
      })
    : sentence(locale, "doc.failed");
}
