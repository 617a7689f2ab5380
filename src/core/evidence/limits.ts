/** So many documents answer one requirement at once, and so many are kept of one file, those that were replaced included. */
export const MOST_AT_REQUIREMENT = 20;
export const MOST_IN_FILE = 400;
/** So many bytes the documents have together whose pages are put together as one. */
export const MOST_JOINED_BYTES = 50 * 1024 * 1024;
