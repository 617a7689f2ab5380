import type { FileFacts } from "../file/facts";
import type { LoadedFile } from "../file/loaded-file";
import type { Assessment } from "../file/result";
import type { Instant } from "../ids";
import type { Standing } from "../rulebook/requirement";

/**
 * What a file can be narrowed down by, each as a word and a value: `programme:MES`, `start:2027-09-01`, `round:<id>`, `group:home`,
 * `eligibility:eligible`, `standing:passport to check`. Lists are filtered by them and count them.
 */
export const TAGS = ["programme", "start", "round", "group", "eligibility", "standing"] as const;
export type TagWord = (typeof TAGS)[number];

export interface Tag {
  readonly word: TagWord;
  readonly value: string;
}

export const tagText = ({ word, value }: Tag): string => `${word}:${value}`;

/** @returns null for anything that is no tag */
export function readTag(text: string): Tag | null {
  const at = text.indexOf(":");
  const word = TAGS.find((known) => known === text.slice(0, at));
  return word && at + 1 < text.length ? { word, value: text.slice(at + 1) } : null;
}

/** Standings in which somebody still has to do something. */
export const OPEN_STANDINGS: readonly Standing[] = ["to check", "missing", "promised", "returned"];

/** The tags of a file, in order, each once: those of its live choices, or of all where none is live any more. */
export function fileTags({ facts }: LoadedFile, assessment: Assessment): readonly string[] {
  const live = facts.choices.filter((c) => assessment.choices.some((r) => r.id === c.id && r.stage !== "closed"));
  const choices = live.length > 0 ? live : facts.choices;
  const tags: readonly Tag[] = [
    ...choices.flatMap((c): readonly Tag[] => [
      { word: "programme", value: c.programme },
      { word: "start", value: c.start },
      { word: "round", value: c.roundId },
    ]),
    ...(assessment.file.group === null ? [] : [{ word: "group" as const, value: assessment.file.group }]),
    ...assessment.choices
      .filter((r) => choices.some((c) => c.id === r.id))
      .map((r): Tag => ({ word: "eligibility", value: r.eligibility })),
    ...assessment.requirements
      .filter((r) => OPEN_STANDINGS.includes(r.standing))
      .map((r): Tag => ({ word: "standing", value: `${r.key} ${r.standing}` })),
  ];
  return [...new Set(tags.map(tagText))].sort();
}

/** When something last came in from outside the office: an application, a document, a paper, a reference, money, corrections, words; null before anything was sent. */
export function lastArrival(facts: FileFacts): Instant | null {
  const sent = facts.choices.map((c) => c.submittedAt);
  if (sent.every((at) => at === null)) return null;
  const all = [
    ...sent,
    ...facts.evidence.map((e) => e.suppliedAt),
    ...facts.references.map((r) => r.givenAt),
    ...facts.charges.map((c) => c.paidAt),
    ...facts.reopenings.map((r) => r.answeredAt),
    ...facts.correctionRequests.map((r) => r.askedAt),
    ...facts.unanswered.map((m) => m.at),
    ...facts.papers.map((p) => p.notedAt),
    ...facts.asks.flatMap((a) => (a.inWords ? a.answeredAt : [])),
  ];
  return all.reduce((latest, at) => (at !== null && (latest === null || at > latest) ? at : latest), null);
}
