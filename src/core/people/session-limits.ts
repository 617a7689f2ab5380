const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

/** Whoever works on other people's files is signed out after half an hour without a press, and after a day's work in any case. */
const STAFF = { idleMs: 30 * MINUTE, mostMs: 12 * HOUR } as const;

/** The use of a session is noted at most so often. */
export const NOTED_EVERY_MS = MINUTE;

export interface SessionTimes {
  /** Epoch milliseconds. */
  readonly begunAt: number;
  readonly usedAt: number;
}

/** Whether a session is over. Applicants' sessions end by the account package's own time alone. */
export const isSessionOver = ({ begunAt, usedAt }: SessionTimes, isStaff: boolean, now: number): boolean =>
  isStaff && (now - usedAt >= STAFF.idleMs || now - begunAt >= STAFF.mostMs);
