import { addWorking, workingBetween } from "../calendar/working-days";
import type { ChoiceFact, Round, Turn } from "../file/facts";
import type { ChoiceResult } from "../file/result";
import type { PlainDate } from "../ids";
import type { Office } from "../standards/reference-set";
import { formatDay } from "../time/day";
import { dayAt, requireDay } from "../time/zone";
import { isOwn } from "./spent";

export const MILESTONES = ["submitted", "complete", "decision", "answer", "start"] as const;

export interface Milestone {
  readonly kind: (typeof MILESTONES)[number];
  readonly state: "past" | "next" | "later";
  /** When it was, or by when it is expected; null where no day can be named yet. */
  readonly day: PlainDate | null;
  /** Working days that it takes once it can begin; null where a day is named, or none is counted. */
  readonly within: number | null;
}

/** What comes when for one submitted choice. */
export interface Schedule {
  readonly choice: string;
  readonly milestones: readonly Milestone[];
  /** Whether the promised day is worked out anew because somebody else has the turn now. */
  readonly standsStill: boolean;
  /** The day that was promised first, and by how many working days it moved since; null where it did not. */
  readonly moved: { readonly from: PlainDate; readonly days: number } | null;
}

/**
 * What an applicant can expect of a choice, and when. The decision counts from when everything is there; a day that was promised moves
 * with the days on which the clock stands still. Nothing of a decision shows before its release.
 */
export function scheduleOf(
  choice: ChoiceFact,
  { stage, promise }: Pick<ChoiceResult, "stage" | "promise">,
  round: Pick<Round, "promiseDays">,
  turn: Turn,
  { calendar, zone, set }: Office,
): Schedule | null {
  if (choice.submittedAt === null || stage === "preparing" || stage === "closed") return null;
  const dayOf = (at: string) => formatDay(dayAt(zone, Date.parse(at)));
  const decision = choice.decision?.releasedAt ? choice.decision : null;
  const releasedAt = decision?.releasedAt ?? null;
  const offered = decision === null || decision.kind === "offer" || decision.kind === "offer on conditions";
  const due = decision === null ? (promise?.due ?? null) : null;
  const first = choice.completeAt
    ? addWorking(calendar, requireDay(dayOf(choice.completeAt) as PlainDate), round.promiseDays)
    : null;
  const complete = choice.completeAt !== null && stage !== "submitted";
  const told = [
    { kind: "submitted" as const, done: choice.submittedAt, expected: null, within: null },
    { kind: "complete" as const, done: complete || decision ? choice.completeAt : null, expected: null, within: null },
    {
      kind: "decision" as const,
      done: releasedAt,
      expected: complete ? due : null,
      within: complete && due ? null : round.promiseDays - (promise?.used ?? 0),
    },
    ...(offered
      ? [
          {
            kind: "answer" as const,
            done: decision?.answeredAt ?? null,
            expected: decision?.answerBy ?? null,
            within: decision ? null : set.targets.acceptOffer,
          },
          { kind: "start" as const, done: null, expected: choice.start, within: null },
        ]
      : []),
  ];
  const next = told.findIndex((m) => m.done === null);
  const moved = due && first !== null ? workingBetween(calendar, first, requireDay(due)) : 0;
  return {
    choice: choice.id,
    milestones: told.map(({ kind, done, expected, within }, i) => ({
      kind,
      state: done !== null ? "past" : i === next ? "next" : "later",
      day: done !== null ? (dayOf(done) as PlainDate) : (expected as PlainDate | null),
      within: done !== null ? null : within,
    })),
    // Without a calendar for the year there is no day either, and the clock runs all the same.
    standsStill: complete && decision === null && promise?.due === null && !isOwn(turn),
    moved: moved > 0 && first !== null ? { from: formatDay(first), days: moved } : null,
  };
}
