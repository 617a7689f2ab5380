import { z } from "zod";

/** What acts on money take. `minor`: so much goes back, in minor units; `note`: how, as finance finds it again. */
export const giveBackInput = z.object({
  applicationId: z.uuid(),
  chargeId: z.uuid(),
  minor: z.int().min(1),
  note: z.string().trim().min(1).max(300),
});
