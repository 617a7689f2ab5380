/** The largest document that is taken where a rulebook says nothing. */
export const DEFAULT_MOST_BYTES = 10 * 1024 * 1024;

/** So many documents answer one requirement at once, and so many are kept of one file, those that were replaced included. */
export const MOST_AT_REQUIREMENT = 20;
export const MOST_IN_FILE = 400;
