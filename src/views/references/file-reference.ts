import type { DeclineReason, ReferenceAnswers } from "../../core/references/requests";

/** A request to a referee as the office reads it in a file. */
export interface FileReference {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly state: string;
  readonly askedAt: string;
  readonly dueAt: string;
  readonly endsAt: string;
  readonly openedAt: string | null;
  readonly begun: boolean;
  readonly remindedAt: string | null;
  readonly reminders: number;
  /** The last day of the time that the referee asks for. */
  readonly moreUntil: string | null;
  readonly moreWords: string;
  readonly declineReason: DeclineReason | null;
  readonly declineWords: string;
  /** Who put it in, where it came otherwise than by the link. */
  readonly takenBy: string | null;
  readonly givenAt: string | null;
  readonly answers: ReferenceAnswers | null;
  readonly uploadId: string | null;
  readonly judgement: string | null;
}
