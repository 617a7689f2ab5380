import { and, eq } from "drizzle-orm";
import { holds, OFFICE } from "../../core/rights/actor";
import { dropListInput, keepListInput } from "../../core/turns/named-list";
import { namedList } from "../../db/schema";
import { defineAct, done, refuse } from "../act/act";

/** Gives a list of files a name, under which it stands beside the turns; one of that name is replaced. A shared one is a lead officer's. */
export const keepList = defineAct({
  name: "keep-list",
  input: keepListInput,
  may: (ctx, { shared }) => holds(ctx.actor, shared ? ["lead officer"] : OFFICE),
  run: async (ctx, { name, query, shared }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    await ctx.db.delete(namedList).where(and(eq(namedList.personId, ctx.actor.id), eq(namedList.name, name)));
    const [made] = await ctx.db
      .insert(namedList)
      .values({ personId: ctx.actor.id, name, query, shared, at: ctx.now })
      .returning({ id: namedList.id });
    if (!made) throw new Error("the list was not kept");
    await ctx.emit("keep-list", null, { list: made.id, shared });
    return done({ listId: made.id });
  },
});

/** Takes a name away again; a shared one is taken away by any lead officer. */
export const dropList = defineAct({
  name: "drop-list",
  input: dropListInput,
  may: (ctx) => holds(ctx.actor, OFFICE),
  run: async (ctx, { listId }) => {
    if (ctx.actor.kind !== "person") return refuse("not-yours");
    const [list] = await ctx.db.select().from(namedList).where(eq(namedList.id, listId));
    const leads = holds(ctx.actor, ["lead officer"]);
    if (!list || !(list.personId === ctx.actor.id || (list.shared && leads))) return refuse("not-found");
    await ctx.db.delete(namedList).where(eq(namedList.id, listId));
    await ctx.emit("drop-list", null, { list: listId });
    return done(null);
  },
});
