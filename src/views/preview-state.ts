import type { FileEffect } from "../core/difference/effect";

/** How far the last preview of a draft is, and what it found. */
export interface PreviewState {
  readonly total: number;
  readonly done: number;
  readonly finished: boolean;
  /** The draft has changed since. */
  readonly stale: boolean;
  readonly effects: readonly FileEffect[];
}

export type StoredPreview = Omit<PreviewState, "stale"> & { readonly edit: number };

/** The last preview as a column. @param which condition over the previews `v` */
export const lastPreview = (which: string): string =>
  `(select json_build_object('total', v.total, 'done', v.done, 'finished', v.finished_at is not null, 'edit', v.edit, 'effects', v.effects)
     from preview v where ${which} order by v.asked_at desc limit 1)`;

export function previewState(stored: StoredPreview | null, edit: number): PreviewState | null {
  if (!stored) return null;
  const { edit: seen, ...state } = stored;
  return { ...state, stale: seen !== edit };
}
