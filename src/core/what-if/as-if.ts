import { type AssessInput, assess } from "../assessment/assess";
import type { ChoiceFact } from "../file/facts";
import type { Assessment, ChoiceResult, RequirementResult } from "../file/result";

/** Where a choice would stand if it were on another programme or track. */
export interface StandingElsewhere {
  readonly eligibility: ChoiceResult["eligibility"];
  readonly findings: ChoiceResult["findings"];
  /** What would have to be supplied that is not there. */
  readonly missing: readonly RequirementResult[];
}

export type ChoiceChange = Partial<
  Pick<ChoiceFact, "rulebookId" | "roundId" | "programme" | "language" | "start" | "campus" | "mode" | "track">
>;

function standingOf({ choices, requirements }: Assessment, id: string): StandingElsewhere | null {
  const result = choices.find((c) => c.id === id);
  if (!result) return null;
  const wanting = ["missing", "returned"];
  return {
    eligibility: result.eligibility,
    findings: result.findings,
    missing: requirements.filter((r) => r.choices.includes(id) && wanting.includes(r.standing)),
  };
}

/**
 * Assesses a file as if one choice were another; overrides of its rules do not go with it to another programme. The rulebook and
 * the round that are named have to be among those of the input.
 * @returns null when the file has no such choice
 */
export function asIf(input: AssessInput, id: string, change: ChoiceChange): StandingElsewhere | null {
  const { facts } = input;
  const leaves = change.programme !== undefined;
  return standingOf(
    assess({
      ...input,
      facts: {
        ...facts,
        // More time was given for the closing that it leaves, and when it was complete says nothing of what is asked for there.
        choices: facts.choices.map((c) =>
          c.id === id ? { ...c, ...(leaves ? { extendedTo: null, completeAt: null } : {}), ...change } : c,
        ),
        overrides: leaves ? facts.overrides.filter((o) => o.choice !== id) : facts.overrides,
      },
    }),
    id,
  );
}
