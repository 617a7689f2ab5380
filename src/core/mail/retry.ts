/** How long a mail that could not be handed over is tried again, counted from the first time that it could not. */
export const TRIED_FOR_MS = 3 * 24 * 3_600_000;

const MINUTE = 60_000;
/** A server that is away for a night is met again soon after it is back. */
const LONGEST_PAUSE_MS = 60 * MINUTE;
const MOST_DOUBLINGS = 10;

/** The pause before the next try: a minute, then twice as long each time, up to an hour. @param attempts how often it was tried, from 1 */
export const pauseAfter = (attempts: number): number =>
  Math.min(LONGEST_PAUSE_MS, MINUTE * 2 ** Math.min(MOST_DOUBLINGS, Math.max(0, attempts - 1)));
