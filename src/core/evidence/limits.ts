/** The largest document that is taken where a rulebook says nothing. */
export const DEFAULT_MOST_BYTES = 10 * 1024 * 1024;
