import { z } from "zod";
import type { Reached } from "../../core/contact/contact-notes";
import { ADDRESS_PARTS } from "../../core/contact/places";
import type { Json } from "../../core/file/facts";
import type { LocalText } from "../../core/text/local-text";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView, type ViewContext } from "../view/view";

export const POST_KINDS = ["all", "not confirmed", "fails", "holds"] as const;
export type PostKind = (typeof POST_KINDS)[number];

/** Where letters of one submitted application go. */
export interface PostRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly programmes: string;
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  /** The section in which the address stands: what it is for. */
  readonly purpose: LocalText;
  readonly address: Json;
  readonly reached: Reached;
  readonly since: Date | null;
  /** When the applicant was asked last, after the last word on it. */
  readonly askedAt: Date | null;
}

export interface PostPage {
  readonly kind: PostKind;
  readonly rows: readonly PostRow[];
  /** The number after which the next page begins; null on the last. */
  readonly next: string | null;
}

const PAGE = 50;
const MOST_EXPORTED = 50_000;

/** The parts of a contact address in a section, as one. */
const partsOf = (section: string) => `(select jsonb_object_agg(w.field, w.value) from answer w
  where w.application_id = s.application_id and w.section = ${section} and w.field in (${ADDRESS_PARTS.map((p) => `'${p}'`).join(", ")}) and not w.dormant)`;
const sameNote = `r.application_id = s.application_id and (r.scope, r.section, r.entry, r.field, r.version) = (l.scope, l.section, l.entry, l.field, l.version)`;

/**
 * The address to which letters go: the one that a rulebook marks, else that of the contact section. One that is “the same as” another
 * section's is that section's. Which places these are is read from the rulebooks once a statement.
 */
const POST = `with place as materialized (
    select b.id as rulebook, s->>'key' as section, f->>'key' as field, s->'title' as purpose, split_part(f->>'sameAs', '.', 1) as same_as,
      case when f->>'forLetters' = 'true' then 0 else 1 end as rank, f->>'kind' = 'address' as whole
    from rulebook b, jsonb_array_elements(b.body->'sections') s, jsonb_array_elements(s->'fields') f
    where f->>'kind' = 'address' and (f->>'forLetters' = 'true' or s->>'core' = 'contact') or s->>'core' = 'contact' and f->>'key' = 'street')
  select s.application_id as id, s.number, s.name, s.programmes, l.scope, l.section, l.entry, l.field, l.purpose, l.value as address,
    case when n.kind in ('talked', 'confirmed') then 'holds' when n.kind in ('dead', 'returned') then 'fails' else 'not confirmed' end as reached,
    n.at as since, q.at as "askedAt"
  from file_standing s
  join lateral (
    select p.section, p.field, p.purpose, w.scope, w.entry,
      case when p.whole then w.version else (select sum(y.version)::int from answer y where y.application_id = s.application_id and y.section = p.section
        and y.field in (${ADDRESS_PARTS.map((p) => `'${p}'`).join(", ")}) and not y.dormant and y.value <> '""') end as version,
      case when not p.whole then ${partsOf("p.section")} when w.value ? 'same' then ${partsOf("p.same_as")} else w.value end as value
    from choice c join place p on p.rulebook = c.rulebook_id
      join answer w on w.application_id = c.application_id and w.section = p.section and w.field = p.field and not w.dormant
    where c.application_id = s.application_id and c.withdrawn_at is null and not w.value ? 'notKnown' and w.value <> '""'
    order by p.rank, c.rank limit 1) l on true
  left join lateral (
    select r.kind, r.at from contact_note r where ${sameNote} and r.kind in ('talked', 'confirmed', 'dead', 'returned') order by r.at desc limit 1) n on true
  left join lateral (select max(r.at) as at from contact_note r where ${sameNote} and r.kind = 'asked' and (n.at is null or r.at > n.at)) q on true
  where s.stage not in ('preparing', 'closed')
    and case $2::text when 'holds' then n.kind in ('talked', 'confirmed') when 'fails' then n.kind in ('dead', 'returned')
      when 'not confirmed' then n.kind is null else true end
    and ($3::text is null or s.number > $3)`;

const input = z.object({
  kind: z.enum(POST_KINDS).catch("all").default("all"),
  after: z.string().max(20).nullable().default(null),
});

async function read(ctx: ViewContext, { kind, after }: z.output<typeof input>, most: number) {
  const scope = programmesOf(ctx.actor);
  if (scope === null) return null;
  const { rows } = await ctx.pool.query<PostRow>(
    `${POST} and ${fileInScope("s.application_id", "$1")} order by s.number limit ${most}`,
    [scopeParameter(scope), kind, after],
  );
  return rows;
}

/** Where letters go, over all submitted applications: what is confirmed, what is not, and what came back. */
export const post = defineView({
  name: "post",
  input,
  read: async (ctx, filter): Promise<PostPage | null> => {
    const found = await read(ctx, filter, PAGE + 1);
    if (!found) return null;
    const rows = found.slice(0, PAGE);
    return { kind: filter.kind, rows, next: found.length > PAGE ? (rows.at(-1)?.number ?? null) : null };
  },
});

/** The same whole, for labels. */
export const postTable = defineView({
  name: "post-table",
  input,
  read: (ctx, filter) => read(ctx, { ...filter, after: null }, MOST_EXPORTED),
  readings: (rows) => [{ kind: "list downloaded", file: null, about: `addresses, ${rows.length}` }],
});
