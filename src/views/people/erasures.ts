import { z } from "zod";
import { type ErasureReport, erasureOf } from "../../core/people/erasure";
import { holds } from "../../core/rights/actor";
import { keptFiles } from "../../db/queries/kept-files";
import { officeNow } from "../view/office-now";
import { defineView, type ViewContext } from "../view/view";

interface Request {
  readonly id: string;
  readonly personId: string;
  readonly askedAt: Date;
  readonly answeredAt: Date | null;
}

/** Somebody who asked to be erased. */
export interface Erasure extends Request {
  readonly name: string;
  readonly email: string;
  readonly answeredBy: string | null;
  /** What was done, or what would be done now. */
  readonly report: ErasureReport;
}

const reportNow = async ({ pool, now }: ViewContext, personId: string): Promise<ErasureReport> =>
  erasureOf(await keptFiles(pool, personId), (await officeNow(pool)).set.keepFilesDays, now.getTime());

const MOST = 200;

/** Who asked to be erased: what would go now and what was done, the open ones first; for an administrator. */
export const erasures = defineView({
  name: "erasures",
  input: z.object({}),
  read: async (ctx): Promise<readonly Erasure[] | null> => {
    if (!holds(ctx.actor, ["administrator"])) return null;
    const { rows } = await ctx.pool.query<
      Request & { name: string; email: string; answeredBy: string | null; report: ErasureReport | null }
    >(
      `select r.id, r.person_id as "personId", r.asked_at as "askedAt", r.answered_at as "answeredAt", r.report, p.name, p.email, b.name as "answeredBy"
       from erasure_request r join person p on p.id = r.person_id left join person b on b.id = r.answered_by_id
       order by r.answered_at is not null, coalesce(r.answered_at, r.asked_at) desc limit ${MOST}`,
    );
    const all: Erasure[] = [];
    for (const row of rows) all.push({ ...row, report: row.report ?? (await reportNow(ctx, row.personId)) });
    return all;
  },
});

export interface OwnErasure {
  readonly askedAt: Date;
  readonly answeredAt: Date | null;
  readonly report: ErasureReport;
}

/** What became of one's own wish to be erased, the newest one; null where there was none. */
export const ownErasure = defineView({
  name: "own-erasure",
  input: z.object({}),
  read: async (ctx): Promise<{ readonly newest: OwnErasure | null } | null> => {
    if (ctx.actor.kind !== "person") return null;
    const { rows } = await ctx.pool.query<{ askedAt: Date; answeredAt: Date | null; report: ErasureReport | null }>(
      `select asked_at as "askedAt", answered_at as "answeredAt", report from erasure_request where person_id = $1 order by asked_at desc limit 1`,
      [ctx.actor.id],
    );
    const [newest] = rows;
    return { newest: newest ? { ...newest, report: newest.report ?? (await reportNow(ctx, ctx.actor.id)) } : null };
  },
});
