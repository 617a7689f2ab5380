import type { Json } from "../file/facts";
import type { Field } from "../rulebook/section";

/**
 * The answer “I do not know it”, where a field takes it. It is an answer like any other, so nobody invents a value to get on: nothing is
 * missing, what a rule wants to know stays open, and no list or export holds a stand-in.
 */
export const NOT_KNOWN = { notKnown: true } as const;

export const isNotKnown = (value: Json): boolean =>
  typeof value === "object" && value !== null && "notKnown" in value && value.notKnown === true;

/** A box that is ticked and scores that are listed part by part have no such answer. */
export const takesNotKnown = (field: Pick<Field, "kind">): boolean => field.kind !== "agree" && field.kind !== "scores";
