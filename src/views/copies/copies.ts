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
       where o.asked_by_id = $1 group by o.id order by o.asked_at desc limit ${MOST_LISTED}`,
      [actor.id],
    );
    return rows.map((row) => ({ ...row, askedAt: row.askedAt.toISOString() }));
  },
});

export interface ReadyCopy {
  readonly number: string;
  readonly name: string;
  readonly sha256: string;
}

/** The copies of one order that are made, for the officer who asked for them and still works on those files. */
export const readyCopies = defineView({
  name: "ready-copies",
  input: z.object({ orderId: z.uuid() }),
  read: async ({ actor, pool }, { orderId }): Promise<readonly ReadyCopy[] | null> => {
    const scope = programmesOf(actor);
    if (actor.kind !== "person" || scope === null) return null;
    const { rows } = await pool.query<ReadyCopy>(
      `select a.number, s.name, f.sha256 from copy_order o join copy_of f on f.order_id = o.id join application a on a.id = f.application_id
         join file_standing s on s.application_id = a.id
       where o.id = $1 and o.asked_by_id = $2 and f.sha256 is not null and ${fileInScope("f.application_id", "$3")} order by f.position`,
      [orderId, actor.id, scopeParameter(scope)],
    );
    return rows.length === 0 ? null : rows;
  },
  readings: (rows) => rows.map(({ number }) => ({ kind: "copy downloaded", file: number })),
});

/** The bytes of a copy that the view has let through, chunk by chunk. */
export function copyBytes(pool: pg.Pool, copy: Pick<ReadyCopy, "sha256">): AsyncGenerator<Buffer> {
  return readContent(pool, copy.sha256);
}
