import {
  lastPlaceOfStudy,
  type Notable,
  notableIn,
  type StatedEntry,
  type Study,
  statedDate,
  studyOf,
} from "../../core/education/studies";
import { type Episode, type Timeline, timeline } from "../../core/education/timeline";
import type { Json } from "../../core/file/facts";
import { dateIn } from "../../core/time/date-in";
import { type Day, formatDay, parseDay, yearOf } from "../../core/time/day";
import { countryName, formatDate } from "../../text/format";
import type { ClaimedValue } from "../../views/assessment/file-data";

const WIDTH = 860;
const LEFT = 230;
const ROW = 24;
const TOP = 24;
const MOST_TICKS = 16;

/** The entries of the lists of a form as the office knows them: a confirmed value counts before the claimed one. */
function entriesIn(values: readonly ClaimedValue[]): ReadonlyMap<string, StatedEntry> {
  const entries = new Map<string, Map<string, Json>>();
  for (const v of values) {
    if (v.entry === "") continue;
    const key = `${v.section}|${v.entry}`;
    const fields = entries.get(key) ?? new Map<string, Json>();
    fields.set(v.field, v.confirmed ?? v.claim);
    entries.set(key, fields);
  }
  return entries;
}

/** What has a beginning among them. */
function episodesIn(entries: ReadonlyMap<string, StatedEntry>): readonly Episode[] {
  return [...entries].flatMap(([id, fields]): readonly Episode[] => {
    const from = statedDate(fields.get("start"));
    if (!from) return [];
    const end = statedDate(fields.get("end"));
    const expected = end === null ? statedDate(fields.get("expectedEnd")) : null;
    const named = ["title", "role", "institution", "employer", "name"]
      .map((f) => fields.get(f))
      .find((t) => typeof t === "string" && t !== "");
    return [
      {
        id,
        label: typeof named === "string" ? named : "",
        list: id.split("|")[0] ?? "",
        from,
        to: end ?? expected,
        expected: expected !== null,
      },
    ];
  });
}

const day = (value: Day): string => formatDate("en", formatDay(value));

const NOTABLE_WORDS: Readonly<Record<Notable["code"], (study: string) => string>> = {
  excluded: (study) => `${study}: was not allowed to go on. Look whether the exclusion counts here.`,
  "still enrolled": (study) => `${study}: is interrupted, and the enrolment goes on. It would be a second one.`,
  "ends after start": (study) =>
    `${study}: is expected to end after studies begin here. It would be a second enrolment.`,
  "may transfer": (study) => `${study}: left with credits that may be recognised.`,
};

/** Where somebody studied last, and what of their studies has to be looked into. */
function Studies({ studies, start }: { studies: readonly Study[]; start: Day | null }) {
  const last = lastPlaceOfStudy(studies);
  const name = ({ title, institution }: Study) => (title === "" ? `“${institution}”` : `“${title}”, ${institution}`);
  return (
    <>
      {last ? (
        <p>
          Last place of study: {last.institution}
          {last.country === "" ? "" : `, ${countryName("en", last.country)}`}
          {last.isRunning ? ", still there" : ""}. Ask there where a paper is in doubt.
        </p>
      ) : null}
      {notableIn(studies, start).map((n) => (
        <p key={`${n.code} ${name(n.study)}`} className="notice">
          {NOTABLE_WORDS[n.code](name(n.study))}
        </p>
      ))}
    </>
  );
}

/**
 * Somebody's studies and work, drawn on one line of years, with what an officer would ask about.
 * @param start the first day of study of the first choice; null while nothing is chosen
 */
export function EducationLine({
  values,
  now,
  zone,
  start,
}: {
  values: readonly ClaimedValue[];
  now: string;
  /** The office's. */
  zone: string;
  start: string | null;
}) {
  const today = parseDay(dateIn(zone, now)) ?? 0;
  const entries = entriesIn(values);
  const studies = [...entries.values()].flatMap((entry) => studyOf(entry) ?? []);
  const line = timeline(episodesIn(entries), today);
  const isDrawn = line !== null && (line.episodes.length >= 2 || line.reversed.length > 0);
  if (!isDrawn && studies.length === 0) return null;
  return (
    <section className="education-line">
      <h2>Years in order</h2>
      {isDrawn ? <YearLine line={line} today={today} /> : null}
      <Studies studies={studies} start={start === null ? null : parseDay(start)} />
    </section>
  );
}

function YearLine({ line, today }: { line: Timeline; today: Day }) {
  const height = TOP + line.episodes.length * ROW + 8;
  const x = (at: Day) => LEFT + ((at - line.from) / (line.to - line.from)) * (WIDTH - LEFT - 10);
  const years = Array.from({ length: yearOf(line.to) - yearOf(line.from) + 1 }, (_, i) => yearOf(line.from) + i);
  const step = Math.ceil(years.length / MOST_TICKS);
  const ticks = years.flatMap((year) => {
    const at = parseDay(`${year}-01-01`);
    return at !== null && at >= line.from && at <= line.to && year % step === 0 ? [{ year, at }] : [];
  });
  return (
    <>
      {line.episodes.length > 0 ? (
        <svg viewBox={`0 0 ${WIDTH} ${height}`} role="img" aria-label="Studies and work by year">
          {ticks.map(({ year, at }) => (
            <g key={year}>
              <line className="grid" x1={x(at)} x2={x(at)} y1={TOP - 4} y2={height - 4} />
              <text x={x(at) + 3} y={12}>
                {year}
              </text>
            </g>
          ))}
          {line.gaps.map((g) => (
            <rect
              key={g.from}
              className="gap"
              x={x(g.from)}
              width={Math.max(2, x(g.to) - x(g.from))}
              y={TOP - 4}
              height={height - TOP}
            />
          ))}
          {line.episodes.map((e, i) => {
            const end = e.to?.to ?? today;
            return (
              <g key={e.id}>
                <text x={0} y={TOP + i * ROW + 13}>
                  {e.label.length > 34 ? `${e.label.slice(0, 33)}…` : e.label}
                </text>
                <rect
                  className="bar"
                  data-open={e.to === null || e.expected}
                  x={x(e.from.from)}
                  width={Math.max(3, x(Math.max(end + 1, e.from.from + 1)) - x(e.from.from))}
                  y={TOP + i * ROW + 3}
                  height={ROW - 10}
                />
              </g>
            );
          })}
        </svg>
      ) : null}
      <ul className="plain-list">
        {line.reversed.map((label) => (
          <li key={label} className="wrong">
            “{label}” ends before it begins.
          </li>
        ))}
        {line.gaps.map((g) => (
          <li key={g.from}>
            Nothing is stated from {day(g.from)} to {day(g.to - 1)}, {g.months} months.
          </li>
        ))}
        {line.overlaps.map((o) => (
          <li key={`${o.a} ${o.b}`}>
            “{o.a}” and “{o.b}” at the same time for {o.months} months.
          </li>
        ))}
      </ul>
    </>
  );
}
