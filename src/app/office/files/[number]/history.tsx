import { formatMoment } from "../../../../text/format";
import { EVENT_WORDS } from "../../../../text/words/events";
import { inSentence } from "../../../../text/words/office";
import { TurnDays } from "../../../../ui/turns/turn-days";
import type { FileData } from "../../../../views/assessment/file-data";

/** What an event was about, in words: the titles of what it names. */
function eventAbout(data: FileData, about: FileData["events"][number]["about"]): string {
  const title = (key: unknown) => data.assessment.requirements.find((r) => r.key === key)?.title.en;
  const parts: string[] = [];
  if (about.requirement) parts.push(inSentence(title(about.requirement) ?? String(about.requirement)));
  if (Array.isArray(about.fields))
    parts.push(
      about.fields
        .map((f) => data.sections.find((s) => s.key === String(f).split(".")[0])?.title.en ?? String(f))
        .filter((v, i, all) => all.indexOf(v) === i)
        .join(", "),
    );
  if (Array.isArray(about.values))
    parts.push(
      `${about.values.length} ${about.values.length === 1 ? "value" : "values"}${about.changed === true ? ", one of them changed" : ""}`,
    );
  if (typeof about.from === "string" && typeof about.to === "string") parts.push(`from ${about.from} to ${about.to}`);
  for (const key of ["kind", "answer", "result", "reason", "turn"])
    if (typeof about[key] === "string") parts.push(String(about[key]));
  return parts.filter(Boolean).join(" · ");
}

/** Who had the file for how long, and everything that was ever done with it, newest first. */
export function History({ data }: { data: FileData }) {
  return (
    <>
      {data.spent ? <TurnDays spent={data.spent} locale="en" forOffice /> : null}
      <ol className="office-history">
        {data.events.map((e) => (
          <li key={e.id}>
            <span className="quiet">{formatMoment("en", e.at, data.zone)}</span>
            <span className="strong">{e.who === "system" ? "Unvex" : e.who}</span>
            <span>
              {EVENT_WORDS[e.act]} <span className="quiet">{eventAbout(data, e.about)}</span>
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
