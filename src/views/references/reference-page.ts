import type pg from "pg";
import { z } from "zod";
import type { LocalText } from "../../core/text/local-text";
import { defineView } from "../view/view";

export interface ReferencePage {
  readonly state: "asked" | "opened" | "given" | "declined" | "ended";
  readonly applicant: string;
  readonly programmes: readonly LocalText[];
  readonly endsAt: string;
  readonly zone: string;
  readonly locale: string;
}

/** The request behind a link's hash; null when there is none. For finding the holder, before there is an actor. */
export async function requestOfLink(pool: pg.Pool, tokenHash: string): Promise<string | null> {
  const { rows } = await pool.query<{ id: string }>("select id from reference_request where token_hash = $1", [
    tokenHash,
  ]);
  return rows[0]?.id ?? null;
}

interface Row {
  state: string;
  ends_at: Date;
  applicant: string;
  programmes: LocalText[] | null;
  zone: string;
  locale: string;
}

/** What the holder of a referee's link sees: the applicant's name and the programme, nothing else. */
export const referencePage = defineView({
  name: "reference-page",
  input: z.object({}),
  read: async ({ pool, now, actor }): Promise<ReferencePage | null> => {
    if (actor.kind !== "link") return null;
    const { rows } = await pool.query<Row>(
      `select r.state, r.ends_at, n.name as applicant, p.locale, (select body->>'zone' from office_reference order by version desc limit 1) as zone,
         (select json_agg(g.title order by c.rank) from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id
          where c.application_id = r.application_id and c.withdrawn_at is null) as programmes
       from reference_request r join application a on a.id = r.application_id join person p on p.id = a.person_id join file_standing n on n.application_id = a.id where r.id = $1`,
      [actor.requestId],
    );
    const [row] = rows;
    if (!row) return null;
    const over = (row.state === "asked" || row.state === "opened") && now >= row.ends_at;
    const known = ["asked", "opened", "given", "declined"].includes(row.state) && !over;
    return {
      state: known ? (row.state as ReferencePage["state"]) : "ended", // just tested
      applicant: row.applicant,
      programmes: row.programmes ?? [],
      endsAt: row.ends_at.toISOString(),
      zone: row.zone,
      locale: row.locale,
    };
  },
});
