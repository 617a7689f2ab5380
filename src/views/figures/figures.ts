import type pg from "pg";
import { z } from "zod";
import { lastPlaceOfStudy, studyOf } from "../../core/education/studies";
import { isCounted, isReadApart, isSecret, takesSeveral, tally } from "../../core/figures/tally";
import { FEWEST_SHOWN, withheld } from "../../core/figures/withheld";
import type { Json } from "../../core/file/facts";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Field } from "../../core/rulebook/section";
import type { ReferenceSet } from "../../core/standards/reference-set";
import { countryName, languageName } from "../../text/format";
import { countedLabel } from "../turns/answered-so";
import { officeNow } from "../view/office-now";
import { programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface FigureStart {
  readonly id: string;
  readonly code: string;
  readonly title: string;
  readonly startsOn: string;
  /** Submitted choices that were not withdrawn. */
  readonly submitted: number;
}

export interface FigureLine {
  readonly label: string;
  /** Null where so few people must not be shown. */
  readonly count: number | null;
  /** The answer by which its files are listed; null where that is nobody's business, or there is nothing to list. */
  readonly value: string | null;
}

/** One question with how often each answer was given. */
export interface Figure {
  readonly key: string;
  readonly title: string;
  /** The section that it stands in; null for what is not asked but found or chosen. */
  readonly section: string | null;
  /** Nobody may know who said what: small groups are withheld. */
  readonly confidential: boolean;
  /** Whether people may have given several answers. */
  readonly several: boolean;
  readonly lines: readonly FigureLine[];
}

/** What people wrote under one question, apart from their files. */
export interface WrittenApart {
  readonly key: string;
  readonly title: string;
  readonly section: string;
  /** In the order of the alphabet, which says nothing of who wrote them; null while so few wrote that one could tell. */
  readonly texts: readonly string[] | null;
}

export interface FiguresPage {
  readonly starts: readonly FigureStart[];
  /** Null where no start is in view. */
  readonly shown: FigureStart | null;
  readonly figures: readonly Figure[];
  readonly written: readonly WrittenApart[];
}

/** Applications of a start that count: their choice of it was submitted and not withdrawn. */
const COUNTED = "c.intake_id = $1 and c.submitted_at is not null and c.withdrawn_at is null";

const STARTS = `select i.id, p.code, ltrim(p.award || ' ' || (p.title->>'en')) as title, i.starts_on::text as "startsOn",
    (select count(*)::int from choice c where c.intake_id = i.id and c.submitted_at is not null and c.withdrawn_at is null) as submitted
  from intake i join programme p on p.id = i.programme_id where $1::text[] is null or p.code = any($1::text[]) order by p.code, i.starts_on`;

const CHOSEN = `select kind, value, count(*)::int as people from choice c join application a on a.id = c.application_id join round r on r.id = c.round_id,
    lateral (values ('group', a.group_since_submission), ('round', r.key), ('track', c.track), ('campus', c.campus), ('language', c.language), ('mode', c.mode)) v (kind, value)
  where ${COUNTED} and value is not null group by kind, value`;

const ANSWERED = `select w.section, w.field, w.value, count(*)::int as people from choice c join answer w on w.application_id = c.application_id
  where ${COUNTED} and w.scope in ('file', c.id::text) and w.entry = '' and not w.dormant and (w.section, w.field) in (select * from unnest($2::text[], $3::text[]))
  group by w.section, w.field, w.value`;

interface Chosen {
  readonly kind: string;
  readonly value: string;
  readonly people: number;
}

const languageNames = (rows: readonly Chosen[]) =>
  rows.filter((r) => r.kind === "language").map((r) => [r.value, languageName("en", r.value)] as const);

/** What was found or chosen, and is nobody's secret; a kind in which all are alike says nothing. */
async function chosen(pool: pg.Pool, start: FigureStart, set: ReferenceSet): Promise<readonly Figure[]> {
  const { rows } = await pool.query<Chosen>(CHOSEN, [start.id]);
  const { rows: tracks } = await pool.query<{ key: string; title: string }>(
    `select t->>'key' as key, t->'title'->>'en' as title from programme p, jsonb_array_elements(p.tracks) t where p.code = $1`,
    [start.code],
  );
  const kinds = [
    { kind: "group", title: "Applicant group", names: set.groups.map((g) => [g.key, g.title.en] as const) },
    { kind: "round", title: "Round", names: [] },
    { kind: "track", title: "Track", names: tracks.map((t) => [t.key, t.title] as const) },
    { kind: "campus", title: "Campus", names: set.campuses.map((c) => [c.key, c.title.en] as const) },
    { kind: "language", title: "Language of teaching", names: languageNames(rows) },
    { kind: "mode", title: "Full or part time", names: [] },
  ];
  return kinds.flatMap(({ kind, title, names }): readonly Figure[] => {
    const own = rows.filter((r) => r.kind === kind).sort((a, b) => b.people - a.people || (a.value < b.value ? -1 : 1));
    if (own.length === 0 || (own.length === 1 && kind !== "group")) return [];
    const known = new Map(names);
    const lines = own.map((l) => ({ label: known.get(l.value) ?? l.value, count: l.people, value: null }));
    return [{ key: kind, title, section: null, confidential: false, several: false, lines }];
  });
}

const STUDIED = `select w.application_id as id, w.section || '/' || w.entry as entry, w.field, w.value from choice c join answer w on w.application_id = c.application_id
  where ${COUNTED} and w.scope = 'file' and w.entry <> '' and not w.dormant and w.section = any($2::text[])`;

/** The lists of a form in which people state where they studied. */
const studyLists = (books: readonly { readonly body: RulebookBody }[]): readonly string[] =>
  books.flatMap(({ body }) =>
    body.sections
      .filter((s) => s.repeats && ["institution", "country"].every((kind) => s.fields.some((f) => f.kind === kind)))
      .map((s) => s.key),
  );

/** The countries in which people study, or studied last. */
async function studiedIn(pool: pg.Pool, start: FigureStart, lists: readonly string[]): Promise<readonly Figure[]> {
  const { rows } = await pool.query<{ id: string; entry: string; field: string; value: Json }>(STUDIED, [
    start.id,
    lists,
  ]);
  const people = new Map<string, Map<string, Map<string, Json>>>();
  for (const { id, entry, field, value } of rows) {
    const entries = people.get(id) ?? new Map<string, Map<string, Json>>();
    const fields = entries.get(entry) ?? new Map<string, Json>();
    people.set(id, entries.set(entry, fields.set(field, value)));
  }
  const counts = new Map<string, number>();
  for (const entries of people.values()) {
    const land = lastPlaceOfStudy([...entries.values()].flatMap((e) => studyOf(e) ?? []))?.country ?? "";
    if (land !== "") counts.set(land, (counts.get(land) ?? 0) + 1);
  }
  if (counts.size === 0) return [];
  const lines = [...counts]
    .map(([land, count]) => ({ label: countryName("en", land), count, value: null }))
    .sort((a, b) => b.count - a.count || (a.label < b.label ? -1 : 1));
  return [
    {
      key: "studied",
      title: "Last place of study, by country",
      section: null,
      confidential: false,
      several: false,
      lines,
    },
  ];
}

/** The words for the lines that every question has beside its answers. */
const REST = { notKnown: "do not know it", none: "no answer" } as const;

function figureOf(
  { key, section, field }: { key: string; section: string; field: Field },
  answers: readonly { readonly value: Json; readonly people: number }[],
  people: number,
  set: ReferenceSet,
): Figure {
  const { answered, notKnown, lines } = tally(field, answers);
  const several = takesSeveral(field);
  const confidential = isSecret(field);
  const all = [
    ...lines.map(({ value, count }) => ({
      label: countedLabel(field, value, set),
      count,
      value: confidential || count === 0 ? null : value,
    })),
    ...(notKnown > 0 ? [{ label: REST.notKnown, count: notKnown, value: null }] : []),
    ...(people > answered ? [{ label: REST.none, count: people - answered, value: null }] : []),
  ];
  const kept = confidential
    ? withheld(
        all.map((l) => l.count),
        !several,
      )
    : [];
  return {
    key,
    title: field.title.en,
    section,
    confidential,
    several,
    lines: all.map((line, i) => (kept[i] ? { ...line, count: null } : line)),
  };
}

/** What the newest rulebook of a start has counted, over all its submitted applications. */
async function asked(
  pool: pg.Pool,
  start: FigureStart,
  set: ReferenceSet,
  books: readonly { readonly body: RulebookBody }[],
): Promise<readonly Figure[]> {
  const fields = books.flatMap(({ body }) =>
    body.sections.flatMap((s) =>
      s.fields
        .filter((f) => isCounted(s, f))
        .map((field) => ({
          key: `${s.key}.${field.key}`,
          place: [s.key, field.key] as const,
          section: s.title.en,
          field,
        })),
    ),
  );
  const { rows } = await pool.query<{ section: string; field: string; value: Json; people: number }>(ANSWERED, [
    start.id,
    fields.map((f) => f.place[0]),
    fields.map((f) => f.place[1]),
  ]);
  return fields.map((f) =>
    figureOf(
      f,
      rows.filter((r) => `${r.section}.${r.field}` === f.key),
      start.submitted,
      set,
    ),
  );
}

const WORDS = `select w.section || '.' || w.field as key, w.value #>> '{}' as text from choice c join answer w on w.application_id = c.application_id
  where ${COUNTED} and w.scope in ('file', c.id::text) and w.entry = '' and not w.dormant and jsonb_typeof(w.value) = 'string' and w.value #>> '{}' <> ''
    and w.section || '.' || w.field = any($2::text[])`;

/** What was written for figures alone: it stands in no file, and is read here once enough people wrote. */
async function writtenApart(
  pool: pg.Pool,
  start: FigureStart,
  books: readonly { readonly body: RulebookBody }[],
): Promise<readonly WrittenApart[]> {
  const fields = books.flatMap(({ body }) =>
    body.sections.flatMap((s) =>
      s.fields
        .filter((f) => isReadApart(s, f))
        .map((f) => ({ key: `${s.key}.${f.key}`, section: s.title.en, title: f.title.en })),
    ),
  );
  const { rows } = await pool.query<{ key: string; text: string }>(WORDS, [start.id, fields.map((f) => f.key)]);
  return fields.map((field) => {
    const texts = rows.flatMap((r) => (r.key === field.key ? [r.text.trim()] : []));
    return { ...field, texts: texts.length < FEWEST_SHOWN ? null : texts.sort((a, b) => a.localeCompare(b)) };
  });
}

/**
 * The figures of one start: how many submitted applications gave which answer. One start at a time and submitted applications alone, so that
 * what is withheld does not follow from two pages.
 */
export const figures = defineView({
  name: "figures",
  input: z.object({ start: z.uuid().nullable().catch(null).default(null) }),
  read: async ({ pool, actor }, { start }): Promise<FiguresPage | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows: starts } = await pool.query<FigureStart>(STARTS, [scopeParameter(scope)]);
    const most = [...starts].sort((a, b) => b.submitted - a.submitted)[0] ?? null;
    const shown = starts.find((s) => s.id === start) ?? most;
    if (!shown) return { starts, shown: null, figures: [], written: [] };
    const { set } = await officeNow(pool);
    const { rows: books } = await pool.query<{ body: RulebookBody }>(
      "select body from rulebook where intake_id = $1 and status = 'published'",
      [shown.id],
    );
    const [found, studied, said, written] = await Promise.all([
      chosen(pool, shown, set),
      studiedIn(pool, shown, studyLists(books)),
      asked(pool, shown, set, books),
      writtenApart(pool, shown, books),
    ]);
    return { starts, shown, figures: [...found, ...studied, ...said], written };
  },
});
