import type { AnswerFact, EvidenceFact, FileFacts, Json, Round } from "../core/file/facts";
import type { Instant, PlainDate } from "../core/ids";
import type { Rulebook } from "../core/rulebook/rulebook";
import { formOf } from "./applicant";
import type { Profile } from "./profile";
import { mes } from "./rulebooks/mes";

/** One file as plain facts, without a database: for measuring, and for looking at the assessment by itself. */
export const SAMPLE_START = "2027-09-01" as PlainDate;

export const sampleRulebook: Rulebook = { id: "mes-1", version: 1, body: mes };

export const sampleRound: Round = {
  id: "round-1",
  opensAt: "2026-09-26T08:00:00.000Z" as Instant,
  closings: [
    { group: "home", at: "2027-01-09T18:00:00.000Z" as Instant },
    { group: "overseas", at: "2026-12-19T18:00:00.000Z" as Instant },
  ],
  closedAt: null,
  promiseDays: 30,
};

export function answersOf(profile: Profile): {
  readonly answers: readonly AnswerFact[];
  readonly degree: string;
  readonly referee: string;
} {
  const { sections, ids } = formOf(profile);
  const positions = new Map<string, number>();
  const answers = sections.flat().map((change): AnswerFact => {
    if (change.entry !== "" && !positions.has(change.entry)) positions.set(change.entry, positions.size + 1);
    return { ...change, value: change.value as Json, version: 1, position: positions.get(change.entry) ?? 0 }; // written by formOf as JSON
  });
  return { answers, ...ids };
}

export interface SampleChange {
  readonly submittedAt?: Instant | null;
  readonly evidence?: readonly (Partial<EvidenceFact> & Pick<EvidenceFact, "requirement">)[];
  readonly facts?: Partial<FileFacts>;
}

/** A file of a profile; what is particular to a case is put on top. */
export function sampleFile(profile: Profile, change: SampleChange = {}): FileFacts {
  const { answers, degree } = answersOf(profile);
  const perDegree = new Set(["certificate", "transcript"]);
  return {
    application: {
      id: "file-1",
      number: "27-00001",
      createdAt: "2026-11-01T09:00:00.000Z" as Instant,
      withdrawnAt: null,
      groupSinceSubmission: null,
    },
    answers,
    confirmations: [],
    choices: [
      {
        id: "choice-1",
        rank: 1,
        rulebookId: sampleRulebook.id,
        roundId: sampleRound.id,
        programme: "MES",
        language: "en",
        start: SAMPLE_START,
        campus: null,
        mode: null,
        track: null,
        otherTracks: [],
        extendedTo: null,
        submittedAt: change.submittedAt ?? null,
        withdrawnAt: null,
        completeAt: null,
        decision: null,
      },
    ],
    evidence: (change.evidence ?? []).map((e, i) => ({
      id: `evidence-${i}`,
      scope: "file",
      entry: perDegree.has(e.requirement) ? degree : "",
      suppliedAt: "2026-11-10T10:00:00.000Z" as Instant,
      judgement: null,
      judgedAt: null,
      reason: null,
      proof: "copy",
      ...e,
    })),
    excuses: [],
    overrides: [],
    rulings: [],
    references: [],
    announced: [],
    papers: [],
    tasks: [],
    deeds: [],
    earlyCases: [],
    registryMisses: [],
    registryChanges: [],
    issued: [],
    signatures: [],
    charges: [],
    asks: [],
    reopenings: [],
    correctionRequests: [],
    unanswered: [],
    returnedMails: [],
    turns: [],
    ...change.facts,
  };
}
