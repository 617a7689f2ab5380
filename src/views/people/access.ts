import { z } from "zod";
import { ACCESS_SUBJECTS, type AccessKind, type AccessSubject, kindsOf } from "../../core/record/access";
import { holds } from "../../core/rights/actor";
import { defineView, type ViewContext } from "../view/view";

/** A line of the access record. */
export interface AccessRow {
  readonly id: number;
  readonly at: Date;
  readonly kind: AccessKind;
  /** Who; null where nobody of ours is known by it. */
  readonly name: string | null;
  readonly email: string | null;
  /** Whose account or roles it was about. */
  readonly concerns: string | null;
  readonly file: string | null;
  readonly about: string;
  readonly network: string | null;
}

interface AccessPage {
  readonly subject: AccessSubject;
  readonly rows: readonly AccessRow[];
  /** Where the next page begins; null on the last. */
  readonly next: number | null;
}

const PAGE = 100;
const MOST_EXPORTED = 50_000;

const input = z.object({
  subject: z.enum(ACCESS_SUBJECTS).catch("all").default("all"),
  /** A part of a name or an address, or the number of a file. */
  find: z.string().max(100).catch("").default(""),
  before: z.coerce.number().int().positive().nullable().catch(null).default(null),
});

async function read(
  { actor, pool }: ViewContext,
  { subject, find, before }: z.output<typeof input>,
  most: number,
): Promise<readonly AccessRow[] | null> {
  if (!holds(actor, ["administrator"])) return null;
  const { rows } = await pool.query<AccessRow>(
    `select r.id::int as id, r.at, r.kind, p.name, p.email, c.name as concerns, r.file, r.about, r.network
     from access_record r left join person p on p.id = r.person_id left join person c on c.id = r.concerns_id
     where r.kind = any($1) and ($2::bigint is null or r.id < $2)
       and ($3 = '' or r.file = upper($3) or strpos(lower(coalesce(p.name, '') || ' ' || coalesce(p.email, '') || ' ' || coalesce(c.name, '')), lower($3)) > 0)
     order by r.id desc limit $4`,
    [[...kindsOf(subject)], before, find.trim(), most],
  );
  return rows;
}

/** Who came in or tried to, what was looked at and which rights were given, the newest first; for an administrator. */
export const access = defineView({
  name: "access",
  input,
  read: async (ctx, asked): Promise<AccessPage | null> => {
    const found = await read(ctx, asked, PAGE + 1);
    if (!found) return null;
    const rows = found.slice(0, PAGE);
    return { subject: asked.subject, rows, next: found.length > PAGE ? (rows.at(-1)?.id ?? null) : null };
  },
});

/** The same whole, for a spreadsheet. */
export const accessTable = defineView({
  name: "access-table",
  input,
  read: (ctx, asked) => read(ctx, { ...asked, before: null }, MOST_EXPORTED),
  readings: (rows) => [{ kind: "list downloaded", file: null, about: `access record, ${rows.length}` }],
});
