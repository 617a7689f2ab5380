import { z } from "zod";

/** The parts of a list's address that a name is kept for; where one stands in it is none of them. */
const KEPT = ["turn", "reason", "also", "mine", "officer", "mark", "with", "day", "mend", "alike", "said", "order"];

/** The address of a list without what belongs to the moment, its parts in order, so that one list has one address. */
export function listQuery(query: string): string {
  const asked = [...new URLSearchParams(query)].filter(([key, value]) => KEPT.includes(key) && value !== "");
  return new URLSearchParams(asked.sort(([a, x], [b, y]) => (a === b ? (x < y ? -1 : 1) : a < b ? -1 : 1))).toString();
}

const MOST_QUERY = 1500;

export const keepListInput = z.object({
  name: z.string().trim().min(1).max(60),
  query: z.string().max(MOST_QUERY).transform(listQuery),
  /** For all officers. */
  shared: z.boolean(),
});

export const dropListInput = z.object({ listId: z.uuid() });
