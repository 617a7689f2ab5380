import { eq } from "drizzle-orm";
import { z } from "zod";
import { person } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";
import { queueMail } from "../mail/queue-mail";
import { network, recordAccess } from "./access";

/** Notes that a passkey was added or removed. Of a new one its owner is told by mail: it opens the account without the password. */
export const notePasskey = defineAct({
  name: "note-passkey",
  input: z.object({
    email: z.string().max(320),
    kind: z.enum(["passkey added", "passkey removed"]),
    key: z.string().max(100),
    network,
  }),
  may: ({ actor }) => actor.kind === "system",
  run: async (ctx, { email, kind, key, network: from }) => {
    const [owner] = await ctx.db.select().from(person).where(eq(person.email, email));
    if (!owner) return refuse("not-found");
    await recordAccess(ctx, { kind, personId: owner.id, network: from });
    if (kind === "passkey added")
      await queueMail(ctx, {
        applicationId: null,
        personId: owner.id,
        toAddress: owner.email,
        locale: owner.locale,
        template: "passkey-added",
        values: { name: owner.name, key, link: "/account" },
      });
    return done(null);
  },
});
