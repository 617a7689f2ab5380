import type { Rulebook } from "../rulebook/rulebook";
import type { FactSource } from "../rules/fact";
import type { ChoiceFact, Round } from "./facts";

/** One choice with the versions it stands on and the facts that its rules see. */
export interface ChoiceContext {
  readonly choice: ChoiceFact;
  readonly rulebook: Rulebook;
  readonly round: Round;
  readonly source: FactSource;
  readonly group: string | null;
  /** Whether anything that was worked out so far holds for today alone. */
  readonly restsOnToday: () => boolean;
}
