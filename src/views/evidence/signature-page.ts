import type pg from "pg";
import { z } from "zod";
import type { LocalText } from "../../core/text/local-text";
import { defineView } from "../view/view";

/** What the holder of a signer's link sees: the applicant's name, the programmes, and what is to be signed. */
export interface SignaturePage {
  readonly state: "asked" | "signed" | "declined" | "ended";
  readonly applicant: string;
  readonly programmes: readonly LocalText[];
  readonly name: string;
  readonly email: string;
  readonly title: LocalText;
  readonly sentence: LocalText;
  readonly number: string;
  readonly now: string;
  readonly endsAt: string;
  readonly zone: string;
}

/** The request behind a link's hash; null when there is none. For finding the holder, before there is an actor. */
export async function signatureOfLink(pool: pg.Pool, tokenHash: string): Promise<string | null> {
  const { rows } = await pool.query<{ id: string }>("select id from signature_request where token_hash = $1", [
    tokenHash,
  ]);
  return rows[0]?.id ?? null;
}

interface Row extends Omit<SignaturePage, "state" | "endsAt" | "now" | "programmes"> {
  readonly state: string;
  readonly ends_at: Date;
  readonly programmes: LocalText[] | null;
}

export const signaturePage = defineView({
  name: "signature-page",
  input: z.object({}),
  read: async ({ pool, now, actor }): Promise<SignaturePage | null> => {
    if (actor.kind !== "link") return null;
    const { rows } = await pool.query<Row>(
      `select r.state, r.ends_at, r.name, r.email, r.title, r.sentence, n.number, n.name as applicant,
         (select body->>'zone' from office_reference order by version desc limit 1) as zone,
         (select json_agg(g.title order by c.rank) from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id
          where c.application_id = r.application_id and c.withdrawn_at is null) as programmes
       from signature_request r join file_standing n on n.application_id = r.application_id where r.id = $1`,
      [actor.requestId],
    );
    const [row] = rows;
    if (!row) return null;
    const { state, ends_at, programmes, ...shown } = row;
    const open = state === "asked" && now < ends_at;
    return {
      ...shown,
      state: open ? "asked" : state === "signed" || state === "declined" ? state : "ended",
      programmes: programmes ?? [],
      now: now.toISOString(),
      endsAt: ends_at.toISOString(),
    };
  },
});
