/** So many documents answer one requirement at once, and so many are kept of one file, those that were replaced included. */
export const MOST_AT_REQUIREMENT = 20;
export const MOST_IN_FILE = 400;
/** So many bytes the documents have together whose pages are put together as one. */
export const MOST_JOINED_BYTES = 50 * 1024 * 1024;
/** So many bytes of one person wait on their way at once; what was begun first makes room. */
export const MOST_SENDING_BYTES = 100 * 1024 * 1024;
/** A file is sent in parts of so many bytes. */
export const SENDING_PART_BYTES = 512 * 1024;
