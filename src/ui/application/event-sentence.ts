import type { Locale } from "../../core/text/local-text";
import { isTextKey, sentence } from "../../text/sentence";
import type { MyApplication } from "../../views/application/application-data";

type Event = MyApplication["events"][number];
type Known = Pick<MyApplication, "assessment" | "documents">;

/** What a requirement is called, with the entry that it is about; empty where nothing of it is known. */
function titleOf({ assessment, documents }: Known, { requirement, scope, entry }: Event, locale: Locale): string {
  const isIt = (r: { readonly scope: string; readonly entry: string }) => r.scope === scope && r.entry === entry;
  const title = assessment.requirements.find((r) => r.key === requirement && isIt(r))?.title[locale] ?? "";
  const of = documents.find((d) => d.requirement === requirement && isIt(d))?.entryTitle;
  return title !== "" && of ? `${title} · ${of}` : title;
}

/** An event of an application as its applicant reads it. */
export function eventSentence(application: Known, event: Event, locale: Locale): string {
  const key = `event.${event.act}`;
  const withResult = `${key}.${event.result ?? ""}`;
  if (isTextKey(withResult)) return sentence(locale, withResult);
  if (!isTextKey(key)) return event.act;
  const title = titleOf(application, event, locale);
  return title === "" ? sentence(locale, key) : `${sentence(locale, key)}: ${title}`;
}
