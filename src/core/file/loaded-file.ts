import type { Rulebook } from "../rulebook/rulebook";
import type { AnswerFact, FileFacts, Round } from "./facts";

/** One file as it is kept: its facts, the versions of rulebooks and rounds that its choices stand on, and what is kept aside. */
export interface LoadedFile {
  readonly facts: FileFacts;
  readonly rulebooks: Readonly<Record<string, Rulebook>>;
  readonly rounds: Readonly<Record<string, Round>>;
  /** Answers that are kept aside because they do not apply at present. */
  readonly asleep: readonly AnswerFact[];
}
