import type pg from "pg";
import { z } from "zod";
import { fold } from "../../core/people/fold";
import { holds, KEEPERS, RULEBOOK_READERS } from "../../core/rights/actor";
import { type InstitutionInput, type Proposal, proposalOf, tellingWords } from "../../core/standards/institution";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

const MOST_SUGGESTED = 8;
const MOST_LISTED = 200;
const MOST_UNKNOWN = 100;

export interface Suggestion {
  readonly id: string;
  readonly name: string;
  /** The name that was found, where it is another. */
  readonly by: string | null;
  readonly country: string;
  readonly proposal: Proposal;
}

/** How well a folded name fits what is typed: its parts in any order, with errors; the whole name is best. */
const FIT =
  "greatest(similarity(n.folded, $1), word_similarity($1, n.folded) * 0.9, case when n.folded = $1 then 2 when n.folded like $1 || '%' then 1.1 else 0 end)";
const FITS = "(n.folded % $1 or $1 <% n.folded or n.folded like '%' || $1 || '%')";

/** Half of what tells a name from another has to be there, typing errors forgiven. */
const LIKE_ENOUGH = 0.5;

/** Institutions of the register for what somebody has typed so far, typing errors, accents and the order of words forgiven. For everybody. */
export const institutionSuggestions = defineView({
  name: "institution-suggestions",
  input: z.object({ typed: z.string().max(200), country: z.string().max(2).default("") }),
  read: async ({ pool }, { typed, country }): Promise<readonly Suggestion[]> => {
    const folded = fold(typed);
    if (folded.length < 2) return [];
    const { rows } = await pool.query<Omit<Suggestion, "proposal"> & InstitutionInput>(
      `select * from (select distinct on (i.id) i.id, i.name, case when n.kind = 'own' then null else n.name end as by, i.country, i.languages, i.scales,
           i.credits_per_year::float as "creditsPerYear", ${FIT} + case when i.country = $2 then 0.2 else 0 end as fit
         from institution_name n join institution i on i.id = n.institution_id where ${FITS} and n.kind <> 'written'
           and ($3 = '' or word_similarity($3, n.folded) >= ${LIKE_ENOUGH} or n.folded like '%' || $3 || '%')
         order by i.id, fit desc) found order by fit desc, name limit ${MOST_SUGGESTED}`,
      [folded, country, tellingWords(folded)],
    );
    return rows.map((r) => ({ id: r.id, name: r.name, by: r.by, country: r.country, proposal: proposalOf(r) }));
  },
});

/** A name that stands in files and that the register does not know. */
export interface UnknownName {
  readonly name: string;
  readonly country: string;
  readonly files: number;
  /** The most like it in the register. */
  readonly like: { readonly id: string; readonly name: string } | null;
}

export interface InstitutionLine {
  readonly id: string;
  readonly name: string;
  readonly country: string;
  readonly kind: string;
  readonly recognition: string;
  readonly otherNames: readonly string[];
}

export interface Register {
  readonly found: readonly InstitutionLine[];
  readonly total: number;
  readonly unknown: readonly UnknownName[];
  /** Whether the reader may change the register. */
  readonly mayKeep: boolean;
}

/** Where the published forms ask for an institution, as places of answers. */
const PLACES = `select distinct s->>'key' as section, f->>'key' as field from rulebook b, jsonb_array_elements(b.body->'sections') s,
  jsonb_array_elements(s->'fields') f where b.status <> 'draft' and f->>'kind' = 'institution'`;

interface Written {
  readonly name: string;
  readonly country: string;
  readonly files: number;
}

async function writtenNames(pool: pg.Pool): Promise<readonly Written[]> {
  const { rows } = await pool.query<Written>(
    `with places as (${PLACES})
     select min(a.value #>> '{}') as name, coalesce(c.value #>> '{}', '') as country, count(distinct a.application_id)::int as files
     from answer a join places p on p.section = a.section and p.field = a.field
     left join answer c on c.application_id = a.application_id and c.scope = a.scope and c.section = a.section and c.entry = a.entry and c.field = 'country'
     where jsonb_typeof(a.value) = 'string' and a.value #>> '{}' <> '' and not a.dormant
     group by lower(a.value #>> '{}'), 2 order by files desc, name`,
  );
  return rows;
}

/** What applicants wrote that comes to one of the names once folded, in small letters. */
export async function writtenAs(pool: pg.Pool, names: readonly string[]): Promise<readonly string[]> {
  const folded = new Set(names.map(fold));
  const wrote = (await writtenNames(pool)).map((w) => w.name.toLowerCase()).filter((w) => folded.has(fold(w)));
  return [...new Set(wrote)];
}

async function unknownNames(pool: pg.Pool): Promise<readonly UnknownName[]> {
  const [written, known] = await Promise.all([
    writtenNames(pool),
    pool.query<{ folded: string; country: string }>("select folded, country from institution_name"),
  ]);
  const places = new Set(known.rows.map((r) => `${r.folded}|${r.country}`));
  const anywhere = new Set(known.rows.map((r) => r.folded));
  const isKnown = ({ name, country }: Written) =>
    country === "" ? anywhere.has(fold(name)) : places.has(`${fold(name)}|${country}`);
  const unknown = written.filter((w) => !isKnown(w)).slice(0, MOST_UNKNOWN);
  const { rows } = await pool.query<{ typed: string; id: string; name: string }>(
    `select t.typed, f.id, f.name from unnest($1::text[]) t(typed) cross join lateral
       (select i.id, i.name from institution_name n join institution i on i.id = n.institution_id where n.folded % t.typed and similarity(n.folded, t.typed) >= 0.5
        order by similarity(n.folded, t.typed) desc limit 1) f`,
    [unknown.map((u) => fold(u.name))],
  );
  const likes = new Map(rows.map((r) => [r.typed, { id: r.id, name: r.name }]));
  return unknown.map((u) => ({ ...u, like: likes.get(fold(u.name)) ?? null }));
}

/** The register for the office: what a search finds in it, and the names in files that it does not know yet. */
export const institutions = defineView({
  name: "institutions",
  input: z.object({ words: z.string().max(200).default("") }),
  read: async ({ pool, actor }, { words }): Promise<Register | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const folded = fold(words);
    const { rows } = await pool.query<InstitutionLine & { total: number }>(
      `select i.id, i.name, i.country, i.kind, i.recognition,
         array(select n.name from institution_name n where n.institution_id = i.id and n.kind = 'other' order by n.name) as "otherNames",
         (select count(*)::int from institution) as total
       from institution i where $1 = '' or exists (select 1 from institution_name n where n.institution_id = i.id and ${FITS})
       order by i.name limit ${MOST_LISTED}`,
      [folded],
    );
    const counted = await pool.query<{ total: number }>("select count(*)::int as total from institution");
    return {
      found: rows.map(({ total: _, ...line }) => line),
      total: counted.rows[0]?.total ?? 0,
      unknown: await unknownNames(pool),
      mayKeep: holds(actor, KEEPERS),
    };
  },
});

/** The whole register, to be given out as a table. */
export const registerTable = defineView({
  name: "register-table",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly InstitutionInput[] | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const { rows } = await pool.query<InstitutionInput>(
      `select i.name, i.country, i.kind, i.languages, i.scales, i.credits_per_year::float as "creditsPerYear", i.recognition, i.note, i.fingerprints,
         array(select n.name from institution_name n where n.institution_id = i.id and n.kind = 'other' order by n.name) as "otherNames"
       from institution i order by i.country, i.name`,
    );
    return rows;
  },
});

/** How many of these names lead to an institution of the register in their country. */
export const knownNames = defineView({
  name: "known-names",
  input: z.object({ names: z.array(z.object({ name: z.string().max(300), country: z.string().max(3) })).max(1000) }),
  read: async ({ pool, actor }, { names }): Promise<number | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const { rows } = await pool.query<{ count: number }>(
      `select count(*)::int as count from unnest($1::text[], $2::text[]) as x (folded, country)
       where exists (select 1 from institution_name n where n.folded = x.folded and n.country = x.country)`,
      [names.map((n) => fold(n.name)), names.map((n) => n.country)],
    );
    return rows[0]?.count ?? 0;
  },
});

export interface InstitutionPage extends InstitutionInput {
  readonly id: string;
  readonly version: number;
  readonly changedAt: string;
  /** What applicants wrote that leads here. */
  readonly written: readonly { readonly id: string; readonly name: string }[];
  /** Those of the reader’s programmes. */
  readonly files: readonly { readonly number: string; readonly name: string; readonly wrote: string }[];
  /** Whether the reader may change the register. */
  readonly mayKeep: boolean;
}

const MOST_FILES = 100;

/** One institution with its names, and the files that name it. */
export const institutionPage = defineView({
  name: "institution-page",
  input: z.object({ institutionId: z.uuid() }),
  read: async ({ pool, actor }, { institutionId }): Promise<InstitutionPage | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const { rows } = await pool.query<Omit<InstitutionPage, "files" | "mayKeep">>(
      `select i.id, i.name, i.country, i.kind, i.languages, i.scales, i.credits_per_year::float as "creditsPerYear", i.recognition, i.note, i.fingerprints, i.version,
         i.changed_at as "changedAt",
         array(select n.name from institution_name n where n.institution_id = i.id and n.kind = 'other' order by n.name) as "otherNames",
         coalesce((select json_agg(json_build_object('id', n.id, 'name', n.name) order by n.name) from institution_name n
           where n.institution_id = i.id and n.kind = 'written'), '[]') as written
       from institution i where i.id = $1`,
      [institutionId],
    );
    const [row] = rows;
    if (!row) return null;
    const wrote = await writtenAs(pool, [row.name, ...row.otherNames, ...row.written.map((w) => w.name)]);
    const scope = programmesOf(actor);
    const files = await pool.query<InstitutionPage["files"][number]>(
      `with places as (${PLACES})
       select distinct s.number, s.name, a.value #>> '{}' as wrote from answer a join places p on p.section = a.section and p.field = a.field
       join file_standing s on s.application_id = a.application_id
       where jsonb_typeof(a.value) = 'string' and not a.dormant and lower(a.value #>> '{}') = any($1) and $2 and ${fileInScope("a.application_id", "$3")}
       order by s.number limit ${MOST_FILES}`,
      [wrote, scope !== null, scope === null ? [] : scopeParameter(scope)],
    );
    return {
      ...row,
      files: files.rows,
      mayKeep: holds(actor, KEEPERS),
    };
  },
});
