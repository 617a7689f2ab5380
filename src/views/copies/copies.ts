import type pg from "pg";
import { z } from "zod";
import type { Reader } from "../../core/form/readers";
import { readContent } from "../../db/content";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface CopyOrder {
  readonly id: string;
  readonly askedAt: string;
  readonly reader: Reader;
  readonly documents: boolean;
  readonly total: number;
  readonly made: number;
  /** Numbers of applications whose copy could not be made. */
  readonly failed: readonly string[];
  /** All of them in bytes. */
  readonly size: number;
}

const MOST_LISTED = 30;

/** The orders of copies of an officer, the last first. */
export const copies = defineView({
  name: "copies",
  input: z.object({}),
  read: async ({ actor, pool }): Promise<readonly CopyOrder[] | null> => {
    if (actor.kind !== "person" || programmesOf(actor) === null) return null;
    const { rows } = await pool.query<CopyOrder & { askedAt: Date }>(
      `select o.id, o.asked_at as "askedAt", o.reader, o.documents, count(*)::int as total, count(f.made_at)::int as made, coalesce(sum(c.size), 0)::float8 as size,
         coalesce(array_agg(a.number order by f.position) filter (where f.made_at is not null and f.sha256 is null), '{}') as failed
       from copy_order o join copy_of f on f.order_id = o.id join application a on a.id = f.application_id left join content c on c.sha256 = f.sha256
       where o.asked_by_id = $1 and o.reader <> 'applicant' group by o.id order by o.asked_at desc limit ${MOST_LISTED}`,
      [actor.id],
    );
    return rows.map((row) => ({ ...row, askedAt: row.askedAt.toISOString() }));
  },
});

/** What one made of a single application: one copy with the documents, one without. */
export interface FileCopy {
  readonly orderId: string;
  readonly documents: boolean;
  readonly askedAt: string;
  readonly state: "being made" | "made" | "failed";
  /** In bytes. */
  readonly size: number;
}

/** The last copies of an application alone that whoever looks has asked for: their own one, or that of the office where it works on it. */
export const copiesOfFile = defineView({
  name: "copies-of-file",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ actor, pool }, { number }): Promise<readonly FileCopy[] | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<FileCopy & { askedAt: Date }>(
      `select distinct on (o.documents) o.id as "orderId", o.asked_at as "askedAt", o.documents, coalesce(c.size, 0)::float8 as size,
         case when f.made_at is null then 'being made' when f.sha256 is null then 'failed' else 'made' end as state
       from application a join copy_of f on f.application_id = a.id join copy_order o on o.id = f.order_id left join content c on c.sha256 = f.sha256
       where a.number = $1 and o.asked_by_id = $2 and o.reader = case when a.person_id = $2 then 'applicant' else 'office' end
         and not exists (select 1 from copy_of more where more.order_id = o.id and more.application_id <> a.id)
       order by o.documents, o.asked_at desc`,
      [number, actor.id],
    );
    return rows.map((row) => ({ ...row, askedAt: row.askedAt.toISOString() }));
  },
});

export interface ReadyCopy {
  readonly number: string;
  readonly name: string;
  readonly sha256: string;
}

/** The copies of one order that are made, for who asked for them: an officer who still works on those files, or whose application it is. */
export const readyCopies = defineView({
  name: "ready-copies",
  input: z.object({ orderId: z.uuid() }),
  read: async ({ actor, pool }, { orderId }): Promise<readonly ReadyCopy[] | null> => {
    if (actor.kind !== "person") return null;
    const scope = programmesOf(actor);
    const { rows } = await pool.query<ReadyCopy>(
      `select a.number, s.name, f.sha256 from copy_order o join copy_of f on f.order_id = o.id join application a on a.id = f.application_id
         join file_standing s on s.application_id = a.id
       where o.id = $1 and o.asked_by_id = $2 and f.sha256 is not null
         and case when o.reader = 'applicant' then a.person_id = $2 else $4 and ${fileInScope("f.application_id", "$3")} end order by f.position`,
      [orderId, actor.id, scope === null ? [] : scopeParameter(scope), scope !== null],
    );
    return rows.length === 0 ? null : rows;
  },
  readings: (rows) => rows.map(({ number }) => ({ kind: "copy downloaded", file: number })),
});

/** The bytes of a copy that the view has let through, chunk by chunk. */
export function copyBytes(pool: pg.Pool, copy: Pick<ReadyCopy, "sha256">): AsyncGenerator<Buffer> {
  return readContent(pool, copy.sha256);
}
