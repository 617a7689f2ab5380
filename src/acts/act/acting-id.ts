import type { ActContext } from "./act";

/** Whoever acts, as records name them: null for the system and for visitors. */
export const actingId = ({ actor }: ActContext): string | null => (actor.kind === "person" ? actor.id : null);
