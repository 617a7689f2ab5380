import type { Picture } from "../../core/rulebook/requirement";
import { mostBytesOf, type Takes } from "../../core/rulebook/takes";
import type { Locale } from "../../core/text/local-text";
import { formatBytes } from "../../text/format";
import { isTextKey, sentence } from "../../text/sentence";

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

/** Sends one file. Where it is to go stands in the address, so that it is known before a byte of it is read. */
export function sendFile(
  url: string,
  place: Readonly<Record<string, string>>,
  file: File,
  onProgress: (percent: number) => void,
): ReturnType<typeof sendForm> {
  const form = new FormData();
  form.set("file", file);
  return sendForm(`${url}?${new URLSearchParams(place)}`, form, onProgress);
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
