import type { Instant, PlainDate } from "../ids";
import type { ProofLevel } from "../rulebook/requirement";
import type { RuledCase, Verdict } from "../rulebook/ruled-case";
import type { Mode } from "./mode";
import type { RequirementPlace } from "./place";

/**
 * One file's facts, whole, as plain JSON: claims and confirmations side by side. Nothing here is derived; `assess` derives.
 * `scope` is `file` or the id of a choice; `entry` is the stable id of a list entry, or "" outside lists.
 */
export interface FileFacts {
  readonly application: {
    readonly id: string;
    readonly number: string;
    readonly createdAt: Instant;
    readonly withdrawnAt: Instant | null;
    /** The applicant group as it was at the first submission. */
    readonly groupSinceSubmission: string | null;
  };
  readonly answers: readonly AnswerFact[];
  readonly confirmations: readonly ConfirmationFact[];
  readonly choices: readonly ChoiceFact[];
  readonly evidence: readonly EvidenceFact[];
  readonly excuses: readonly {
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly at: Instant;
  }[];
  /** Findings that a lead officer overrode, in force. */
  readonly overrides: readonly {
    readonly choice: string;
    readonly rule: string;
    readonly finding: "met" | "not met";
  }[];
  /** Rulings that were applied to this file, in force. */
  readonly rulings: readonly {
    readonly question: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly verdict: Verdict;
    /** What it is held equal to, and what it is accepted for no further than. */
    readonly equalTo: string | null;
    readonly limits: string | null;
    /** The case as it stood when it was ruled on. */
    readonly about: RuledCase;
  }[];
  /** Cases that the applicant asks to have ruled on before submitting. */
  readonly earlyCases: readonly {
    readonly question: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly askedAt: Instant;
  }[];
  readonly references: readonly ReferenceFact[];
  /** What the office has done itself, by requirement. */
  /** Papers that are said to be on their way otherwise than by upload. */
  readonly announced: readonly (RequirementPlace & { readonly way: PaperWay; readonly expectedOn: PlainDate })[];
  /** Papers that came and nobody has looked at; the requirement is "" where one belongs to none. */
  readonly papers: readonly (RequirementPlace & { readonly id: string; readonly notedAt: Instant })[];
  /** What officers still have to see to in this file, each by a day. */
  readonly tasks: readonly { readonly id: string; readonly title: string; readonly due: PlainDate }[];
  readonly deeds: readonly {
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly at: Instant;
  }[];
  /** Entries that a registry was asked for and could not give: nobody is known there, or somebody else. */
  readonly registryMisses: readonly string[];
  /** Sections with results that a registry has otherwise now than they were confirmed, while nobody has said which count. */
  readonly registryChanges: readonly { readonly section: string; readonly entry: string; readonly at: Instant }[];
  /** Entries of the form whose values came from whoever issued them. */
  readonly issued: readonly { readonly scope: string; readonly section: string; readonly entry: string }[];
  /** Signatures that were asked for by a link and have not come yet. */
  readonly signatures: readonly { readonly requirement: string; readonly askedAt: Instant }[];
  readonly charges: readonly ChargeFact[];
  readonly asks: readonly AskFact[];
  readonly reopenings: readonly ReopeningFact[];
  /** What the applicant asked to have opened for correction and nobody has answered. */
  readonly correctionRequests: readonly { readonly id: string; readonly askedAt: Instant }[];
  /** What the applicant wrote and nobody has answered yet. */
  readonly unanswered: readonly { readonly id: string; readonly at: Instant }[];
  /** Mails to the applicant that came back from the address of their account, and that nobody has seen to. */
  readonly returnedMails: readonly { readonly id: string; readonly at: Instant }[];
  /** Whose turn it was from when on, as recorded by the acts. */
  readonly turns: readonly TurnFact[];
}

export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

export interface AnswerFact {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value: Json;
  readonly version: number;
  readonly position: number;
}

export interface ConfirmationFact {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value: Json;
  readonly at: Instant;
  /** The version of the answer that was confirmed: a newer claim makes the confirmation stale. */
  readonly answerVersion: number;
}

export interface ChoiceFact {
  readonly id: string;
  readonly rank: number;
  readonly rulebookId: string;
  readonly roundId: string;
  readonly programme: string;
  /** The language in which the programme is taught: ISO 639-1. */
  readonly language: string;
  /** The first day of study: the reference day of validities. */
  readonly start: PlainDate;
  readonly campus: string | null;
  readonly mode: Mode | null;
  readonly track: string | null;
  /** Further tracks that would be taken, in the order of preference. */
  readonly otherTracks: readonly string[];
  /** The closing for this person alone, where the office gave an extension. */
  readonly extendedTo: Instant | null;
  readonly submittedAt: Instant | null;
  readonly withdrawnAt: Instant | null;
  readonly completeAt: Instant | null;
  readonly decision: DecisionFact | null;
}

export interface DecisionFact {
  readonly kind: "offer" | "offer on conditions" | "waiting list" | "refusal";
  readonly preparedAt: Instant;
  readonly preparedBy: string;
  readonly releasedAt: Instant | null;
  readonly answerBy: PlainDate | null;
  readonly answer: "accepted" | "declined" | null;
  readonly answeredAt: Instant | null;
}

export interface EvidenceFact {
  readonly id: string;
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
  readonly suppliedAt: Instant;
  readonly judgement: "accepted" | "returned" | null;
  readonly judgedAt: Instant | null;
  readonly reason: string | null;
  readonly proof: ProofLevel;
}

export interface ReferenceFact {
  readonly id: string;
  readonly referee: string;
  readonly scopes: readonly string[];
  readonly state: "asked" | "opened" | "given" | "declined" | "withdrawn" | "undeliverable";
  readonly askedAt: Instant;
  readonly givenAt: Instant | null;
  readonly judgement: "accepted" | "returned" | null;
}

export interface ChargeFact {
  readonly id: string;
  readonly item: string;
  readonly scope: string;
  readonly minor: number;
  readonly currency: string;
  /** Sum of booked payments. */
  readonly paidMinor: number;
  /** When the last of them was booked. */
  readonly paidAt: Instant | null;
  /** When a payment was announced and is not yet booked. */
  readonly announcedAt: Instant | null;
}

/** What answers an ask: something that is supplied at its place, or words. */
export const ASK_WANTS = ["evidence", "words"] as const;
export type AskWants = (typeof ASK_WANTS)[number];

/** Ways on which a paper travels that is not uploaded. */
export const PAPER_WAYS = ["post", "courier", "by hand", "from the issuer"] as const;
export type PaperWay = (typeof PAPER_WAYS)[number];

export interface AskFact {
  readonly id: string;
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
  readonly askedAt: Instant;
  readonly due: PlainDate;
  readonly wants: AskWants;
  readonly answeredAt: Instant | null;
  /** Whether the applicant answered in words, which an officer reads. */
  readonly inWords: boolean;
  readonly readAt: Instant | null;
}

/** Sections that the office opened again after submission; one that was taken back is not among the facts. */
export interface ReopeningFact {
  readonly id: string;
  readonly sections: readonly { readonly scope: string; readonly section: string }[];
  readonly openedAt: Instant;
  readonly due: PlainDate;
  /** When the applicant sent the corrected sections. */
  readonly answeredAt: Instant | null;
  /** When an officer had read what was corrected. */
  readonly readAt: Instant | null;
}

export const TURNS = ["office", "faculty", "applicant", "payment", "third party", "nobody"] as const;
export type Turn = (typeof TURNS)[number];
export interface TurnFact {
  readonly turn: Turn;
  readonly from: Instant;
}
export const isTurn = (word: string | null): word is Turn => TURNS.some((turn) => turn === word);

/** A round as a choice sees it: closings by applicant group, exclusive instants. */
export interface Round {
  readonly id: string;
  readonly opensAt: Instant;
  readonly closings: readonly { readonly group: string; readonly at: Instant }[];
  /** When the office closed it early, or its last place went. */
  readonly closedAt: Instant | null;
  /** It opens only if places are left, and nobody has found that yet. */
  readonly waits?: boolean;
  /** Working days from complete to the decision. */
  readonly promiseDays: number;
}
