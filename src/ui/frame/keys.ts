/** Keys go on working while a ticked box has the focus, and nowhere else where something is typed. */
export const BESIDE_BOXES = {
  enableOnFormTags: ["input"],
  ignoreEventWhen: ({ target }: KeyboardEvent) => target instanceof HTMLInputElement && target.type !== "checkbox",
} as const;

/** In a grid the arrows move from cell to cell. */
export const OUTSIDE_GRIDS = {
  ignoreEventWhen: ({ target }: KeyboardEvent) => target instanceof Element && target.closest("[role=grid]") !== null,
} as const;
