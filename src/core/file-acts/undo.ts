/** So long after it an act on a file is taken back by one key, and the mail that tells of it waits; in milliseconds. */
export const UNDO_MS = 10_000;
