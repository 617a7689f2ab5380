import { holds } from "../../core/rights/actor";
import type { ActContext } from "./act";

/** Who plans what is offered: a lead officer, an administrator, or the system when it loads a catalogue. */
export const plans = (ctx: ActContext): boolean =>
  ctx.actor.kind === "system" || holds(ctx.actor, ["lead officer", "administrator"]);
