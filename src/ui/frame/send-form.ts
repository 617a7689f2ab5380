import { DEFAULT_MOST_BYTES } from "../../core/evidence/limits";
import type { Picture } from "../../core/rulebook/requirement";
import type { Locale } from "../../core/text/local-text";
import { formatBytes } from "../../text/format";
import { isTextKey, sentence } from "../../text/sentence";

/** Sends a form with progress; `fetch` does not tell how far it is. */
export function sendForm(
  url: string,
  form: FormData,
  onProgress: (percent: number) => void,
): Promise<{ readonly status: number; readonly body: unknown }> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", url);
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

/** The sentence for a refused document. */
export function refusedText(locale: Locale, body: unknown, picture: Picture | null = null): string {
  const answer = typeof body === "object" && body !== null ? (body as { reason?: string; document?: string }) : {};
  const key = answer.document ? `doc.refused.${answer.document}` : `refused.${answer.reason ?? ""}`;
  return isTextKey(key)
    ? sentence(locale, key, { size: formatBytes(locale, DEFAULT_MOST_BYTES), check: "", ...picture })
    : sentence(locale, "doc.failed");
}
