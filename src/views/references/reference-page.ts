import type pg from "pg";
import { z } from "zod";
import type { ReferenceAnswers } from "../../core/references/requests";
import type { LocalText } from "../../core/text/local-text";
import { defineView } from "../view/view";

export interface ReferencePage {
  /** "late": the link's time is over, and the reference is still waited for. */
  readonly state: "asked" | "opened" | "given" | "declined" | "late" | "ended";
  readonly applicant: string;
  readonly programmes: readonly LocalText[];
  /** Until when the reference is wanted; the link works longer. */
  readonly dueAt: string;
  readonly endsAt: string;
  readonly draft: ReferenceAnswers | null;
  /** The last day of the time that was asked for and not answered yet. */
  readonly moreUntil: string | null;
  readonly zone: string;
  readonly locale: string;
}

/** The request behind a link's hash; null when there is none. For finding the holder, before there is an actor. */
export async function requestOfLink(pool: pg.Pool, tokenHash: string): Promise<string | null> {
  const { rows } = await pool.query<{ id: string }>(
    "select request_id as id from reference_link where token_hash = $1",
    [tokenHash],
  );
  return rows[0]?.id ?? null;
}

interface Row {
  state: string;
  due_at: Date;
  ends_at: Date;
  draft: ReferenceAnswers | null;
  more_until: string | null;
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
      `select r.state, r.due_at, r.ends_at, r.draft, r.more_until::text, n.name as applicant, p.locale, (select body->>'zone' from office_reference order by version desc limit 1) as zone,
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
      state: over ? "late" : known ? (row.state as ReferencePage["state"]) : "ended", // just tested
      applicant: row.applicant,
      programmes: row.programmes ?? [],
      dueAt: row.due_at.toISOString(),
      endsAt: row.ends_at.toISOString(),
      draft: row.draft,
      moreUntil: row.more_until,
      zone: row.zone,
      locale: row.locale,
    };
  },
});
