import type pg from "pg";
import { z } from "zod";
import { type ChangedPlace, changedPlaces, type SubmittedAnswer } from "../../core/answers/submissions";
import { COMPLETE_FIELD } from "../../core/answers/typed-facts";
import type { Json } from "../../core/file/facts";
import { holds, OFFICE } from "../../core/rights/actor";
import type { Field, Section } from "../../core/rulebook/section";
import type { LocalText } from "../../core/text/local-text";
import { loadFile } from "../../db/queries/load-file";
import { defineView } from "../view/view";

/** One answer that differs from the submission before; a side is null where it had no such answer, or it was erased. */
export interface ChangedAnswer {
  readonly section: LocalText;
  readonly field: Pick<Field, "title" | "kind" | "options">;
  readonly entry: string;
  readonly before: Json;
  readonly after: Json;
}

export interface SubmissionLine {
  readonly no: number;
  readonly at: string;
  /** The programmes that were submitted with it. */
  readonly programmes: readonly string[];
  /** Null for the first one: there is nothing to compare it with. */
  readonly changes: readonly ChangedAnswer[] | null;
}

interface Row {
  no: number;
  at: Date;
  choices: string[];
  answers: SubmittedAnswer[];
}

type Values = ReadonlyMap<string, Json>;

/** The values of versions, by `place@version`. */
async function valuesOf(pool: pg.Pool, applicationId: string, changed: readonly ChangedPlace[]): Promise<Values> {
  const wanted = changed.flatMap(({ place, before, after }) =>
    [before, after].flatMap((version) => (version === null ? [] : [{ place, version }])),
  );
  const { rows } = await pool.query<{ key: string; value: Json }>(
    `select x.place || '@' || x.version as key, v.value
     from unnest($2::text[], $3::int[]) as x (place, version) join answer_version v on v.application_id = $1
       and v.scope = split_part(x.place, '|', 1) and v.section = split_part(x.place, '|', 2) and v.entry = split_part(x.place, '|', 3)
       and v.field = split_part(x.place, '|', 4) and v.version = x.version`,
    [applicationId, wanted.map((w) => w.place), wanted.map((w) => w.version)],
  );
  return new Map(rows.map((r) => [r.key, r.value]));
}

function changedAnswer(
  sections: ReadonlyMap<string, Section>,
  values: Values,
  { place, before, after }: ChangedPlace,
): readonly (ChangedAnswer & { readonly seenBy: Field["seenBy"] })[] {
  const [, key = "", entry = "", name = ""] = place.split("|");
  const section = sections.get(key);
  const field = section?.fields.find((f) => f.key === name);
  if (!section || !field || name === COMPLETE_FIELD) return [];
  const side = (version: number | null) => (version === null ? null : (values.get(`${place}@${version}`) ?? null));
  return [
    { section: section.title, field, entry, before: side(before), after: side(after), seenBy: field.seenBy },
  ].filter((c) => JSON.stringify(c.before) !== JSON.stringify(c.after));
}

/** What an officer may read of the form; the rest is for others or for figures alone. */
const OFFICE_SEES: readonly Field["seenBy"][] = ["assessment", "office"];

/** Every submission of an application with what it changed, newest first; for its applicant and for the office over one of its programmes. */
export const submissions = defineView({
  name: "submissions",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ pool, actor }, { number }): Promise<readonly SubmissionLine[] | null> => {
    if (actor.kind !== "person") return null;
    const { rows: found } = await pool.query<{ id: string; owner: string }>(
      "select id, person_id as owner from application where number = $1",
      [number],
    );
    const [known] = found;
    const loaded = known ? await loadFile(pool, known.id) : null;
    if (!known || !loaded) return null;
    const owner = known.owner === actor.id;
    const codes = new Map(loaded.facts.choices.map((c) => [c.id, c.programme]));
    if (!owner && !holds(actor, OFFICE, [...new Set(codes.values())])) return null;
    const { rows } = await pool.query<Row>(
      "select no, at, choices, answers from submission where application_id = $1 order by no",
      [known.id],
    );
    const changed = rows.map((row, i) => changedPlaces(rows[i - 1]?.answers ?? row.answers, row.answers));
    const values = await valuesOf(pool, known.id, changed.flat());
    const sections = new Map(Object.values(loaded.rulebooks).flatMap((r) => r.body.sections.map((s) => [s.key, s])));
    return rows
      .map((row, i) => ({
        no: row.no,
        at: row.at.toISOString(),
        programmes: row.choices.flatMap((id) => codes.get(id) ?? []),
        changes:
          i === 0
            ? null
            : (changed[i] ?? [])
                .flatMap((place) => changedAnswer(sections, values, place))
                .filter((c) => owner || OFFICE_SEES.includes(c.seenBy))
                .map(({ seenBy: _seenBy, ...shown }) => shown),
      }))
      .reverse();
  },
});
