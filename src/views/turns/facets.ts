import type pg from "pg";
import { readTag, TAGS, type Tag, type TagWord, tagText } from "../../core/settlement/file-tags";
import type { ReferenceSet } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { filterOf, NOBODY, shownWhere, turnsInput } from "./filter";

/** A value that files can be narrowed down to, in words, and how many of those that are shown have it. */
export interface FacetValue {
  /** As the address of the list has it. */
  readonly value: string;
  readonly title: string;
  readonly count: number;
}

export interface Facets {
  readonly tags: readonly { readonly word: TagWord; readonly values: readonly FacetValue[] }[];
  readonly officers: readonly FacetValue[];
  readonly marks: readonly FacetValue[];
}

const eligibilityWord = (value: string): string => value.charAt(0).toUpperCase() + value.slice(1);

/** What each tag is called. Requirements are called as the newest rulebook that has one calls it. */
export async function tagTitles(
  pool: pg.Pool,
  set: ReferenceSet,
  tags: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  const all = tags.flatMap((text) => readTag(text) ?? []);
  const valuesOf = (word: TagWord) => all.filter((t) => t.word === word).map((t) => t.value);
  const standings = valuesOf("standing").map((value) => value.split(" ")[0] ?? "");
  const [programmes, rounds, requirements] = await Promise.all([
    pool.query<{ code: string; title: LocalText }>("select code, title from programme where code = any($1)", [
      valuesOf("programme"),
    ]),
    pool.query<{ id: string; title: string }>(
      `select r.id, p.code || ', round ' || r.key || ', ' || to_char(i.starts_on, 'YYYY') as title from round r join intake i on i.id = r.intake_id
       join programme p on p.id = i.programme_id where r.id::text = any($1)`,
      [valuesOf("round")],
    ),
    standings.length === 0
      ? { rows: [] }
      : pool.query<{ key: string; title: string }>(
          `select distinct on (x->>'key') x->>'key' as key, x->'title'->>'en' as title from rulebook b, jsonb_array_elements(b.body->'requirements') x
           where b.status = 'published' and x->>'key' = any($1) order by x->>'key', b.published_at desc nulls last`,
          [standings],
        ),
  ]);
  const programme = new Map(programmes.rows.map((p) => [p.code, `${p.code} ${p.title.en}`]));
  const round = new Map(rounds.rows.map((r) => [r.id, r.title]));
  const requirement = new Map(requirements.rows.map((r) => [r.key, r.title]));
  const titleOf = ({ word, value }: Tag): string => {
    switch (word) {
      case "programme":
        return programme.get(value) ?? value;
      case "round":
        return round.get(value) ?? value;
      case "start":
        return formatDate("en", value);
      case "group":
        return set.groups.find((g) => g.key === value)?.title.en ?? value;
      case "eligibility":
        return eligibilityWord(value);
      case "standing": {
        const [key = "", ...standing] = value.split(" ");
        return `${requirement.get(key) ?? key}: ${standing.join(" ")}`;
      }
    }
  };
  return new Map(all.map((tag) => [tagText(tag), titleOf(tag)]));
}

const byTitle = (a: FacetValue, b: FacetValue): number => a.title.localeCompare(b.title, "en");
const byCount = (a: FacetValue, b: FacetValue): number => b.count - a.count || byTitle(a, b);

/** By what the files of a list can be narrowed down further, counted; asked for when somebody wants to. */
export const turnFacets = defineView({
  name: "turn-facets",
  input: turnsInput,
  read: async (ctx, asked): Promise<Facets | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null || ctx.actor.kind !== "person") return null;
    const filter = await filterOf(ctx, asked);
    if (filter === null) return null;
    const { where, values } = shownWhere(ctx, scopeParameter(scope), { ...filter, after: null });
    const [tags, officers, marks] = await Promise.all([
      ctx.pool.query<{ tag: string; count: number }>(
        `select t.tag, count(*)::int as count from file_standing s cross join lateral unnest(s.tags) t (tag) ${where} group by t.tag`,
        [...values],
      ),
      ctx.pool.query<{ id: string | null; name: string | null; count: number }>(
        `select x.id, o.name, x.count from (select s.officer_id as id, count(*)::int as count from file_standing s ${where} group by s.officer_id) x
         left join person o on o.id = x.id`,
        [...values],
      ),
      ctx.pool.query<{ mark: string; count: number }>(
        `select m.mark, count(*)::int as count from file_mark m join file_standing s on s.application_id = m.application_id ${where} group by m.mark`,
        [...values],
      ),
    ]);
    const titles = await tagTitles(
      ctx.pool,
      filter.office.set,
      tags.rows.map((t) => t.tag),
    );
    const known = tags.rows.flatMap(({ tag, count }) => {
      const read = readTag(tag);
      return read ? [{ word: read.word, value: tag, title: titles.get(tag) ?? tag, count }] : [];
    });
    return {
      tags: TAGS.map((word) => ({
        word,
        values: known
          .filter((k) => k.word === word)
          .map(({ value, title, count }) => ({ value, title, count }))
          .sort(word === "standing" ? byCount : byTitle),
      })),
      officers: officers.rows
        .map(({ id, name, count }) => ({
          value: id ?? NOBODY,
          title: id === null ? "Nobody yet" : (name ?? ""),
          count,
        }))
        .sort(byCount),
      marks: marks.rows.map(({ mark, count }) => ({ value: mark, title: mark, count })).sort(byCount),
    };
  },
});
