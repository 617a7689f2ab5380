import { z } from "zod";
import { onFile } from "../file/place";
import type { Instant, PlainDate } from "../ids";
import type { ReferenceSet } from "../standards/reference-set";
import { requireDay } from "../time/zone";

/** Why a referee says no. "not me": the link reached somebody else. */
export const DECLINE_REASONS = ["no time", "not well enough", "too close", "not me", "other"] as const;
export type DeclineReason = (typeof DECLINE_REASONS)[number];

/** What a referee says of somebody: how they know them, how they compare them with others, and in their own words. */
export interface ReferenceAnswers {
  readonly known: string;
  readonly rating: string;
  readonly text: string;
}

/** The link works for so long after the day by which the reference is wanted. */
export const DAYS_AFTER_DUE = 30;

const request = { ...onFile, requestId: z.uuid() };
const words = z.string().trim().max(1000);

/** What the office does with a request to a referee. */
export const requestInput = z.object(request);
export const correctRefereeInput = z.object({
  ...request,
  name: z.string().trim().min(1).max(200),
  email: z
    .email()
    .max(200)
    .transform((email) => email.toLowerCase()),
  reason: words.min(1),
});
export const extendReferenceInput = z.object({ ...request, until: z.iso.date() });
export const endReferenceInput = z.object({ ...request, reason: words.min(1) });
/** A reference that came otherwise than by the link. */
export const takeReferenceInput = z.object({
  ...request,
  cameOn: z.iso.date(),
  known: words.max(500).default(""),
  text: z.string().trim().max(20_000).default(""),
});

/** What referees answer beside the reference itself. */
export const declineInput = z.object({
  reason: z.enum(DECLINE_REASONS).default("other"),
  words: words.default(""),
});
export const moreTimeInput = z.object({ until: z.iso.date(), words: words.default("") });

/** A request that waits for its referee. */
export interface OpenRequest {
  readonly askedAt: Instant;
  /** When the referee was reminded last; null where that was never. */
  readonly remindedAt: Instant | null;
  readonly reminders: number;
  /** The last day of the time that the referee has. */
  readonly due: PlainDate;
}

/** The days between two calendar days. */
const daysBetween = (from: PlainDate, to: PlainDate): number => requireDay(to) - requireDay(from);

/**
 * Whether a referee is to be reminded today, by the standards of the office: so many days after the last word, so many times, and once more
 * shortly before the time is over. Nobody is reminded twice within the days that lie before the end.
 * @param dayOf the calendar day of an instant in the office's zone
 */
export function reminderDue(
  request: OpenRequest,
  rule: ReferenceSet["referees"],
  today: PlainDate,
  dayOf: (at: Instant) => PlainDate,
): boolean {
  const last = dayOf(request.remindedAt ?? request.askedAt);
  const since = daysBetween(last, today);
  const left = daysBetween(today, request.due);
  if (since <= 0) return false;
  if (rule.remindBefore !== null && left >= 0 && left <= rule.remindBefore)
    return daysBetween(last, request.due) > rule.remindBefore;
  return rule.remindEvery !== null && request.reminders < rule.remindTimes && since >= rule.remindEvery;
}

/** How endangered a request is: its time is over, ends soon, or does not yet. */
export type Danger = "overdue" | "soon" | "none";
/** A reference whose time ends within so many days is endangered. */
export const SOON_DAYS = 7;

export function dangerOf(due: PlainDate, today: PlainDate): Danger {
  const left = daysBetween(today, due);
  return left < 0 ? "overdue" : left <= SOON_DAYS ? "soon" : "none";
}

/** What a list of references holds: what asks for something of the office, what is endangered, what failed, what waits, what nobody was asked for, what came. */
export const REFERENCE_LISTS = ["more time", "endangered", "failed", "waiting", "not asked", "given"] as const;
export type ReferenceList = (typeof REFERENCE_LISTS)[number];

/** What stands out about a reference; none of it decides anything. */
export type ReferenceSign = "open mailbox" | "same letter" | "same address" | "own browser" | "own name";
