import { z } from "zod";
import { defineView } from "./view";

/** What a payment that the applicant began is for: where to go back to after the card service's page. */
export const payment = defineView({
  name: "payment",
  input: z.object({ paymentId: z.uuid() }),
  read: async ({ pool, actor }, { paymentId }): Promise<{ readonly number: string; readonly state: string; readonly minor: number; readonly currency: string } | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<{ number: string; state: string; minor: number; currency: string }>(
      `select a.number, y.state, y.minor, y.currency from payment y join charge c on c.id = y.charge_id join application a on a.id = c.application_id where y.id = $1 and a.person_id = $2`,
      [paymentId, actor.id],
    );
    return rows[0] ?? null;
  },
});
