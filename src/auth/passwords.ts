import { ZxcvbnFactory } from "@zxcvbn-ts/core";
import { adjacencyGraphs, dictionary } from "@zxcvbn-ts/language-common";

export const LEAST_PASSWORD = 12;
const MOST_PASSWORD = 200;
/** Of 0 to 4: from 3 on more than a hundred million guesses are needed, known passwords and keyboards counted (`zxcvbn`). */
const LEAST_SCORE = 3;
/** Parts of a name or an address that are shorter occur by chance. */
const LEAST_PART = 4;

const strength = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

export type PasswordProblem = "badPassword" | "passwordFromForm" | "passwordGuessed";

/**
 * Why a password is not taken, by whatever way it is set: too short, built from what stands beside it, or one that is guessed soon. The
 * first two are said before typing.
 * @param facts what anybody may know of whoever sets it: names, the address
 */
export function passwordProblem(password: string, ...facts: readonly string[]): PasswordProblem | null {
  if (password.length < LEAST_PASSWORD || password.length > MOST_PASSWORD) return "badPassword";
  const parts = facts.flatMap((f) => f.toLowerCase().split(/[^\p{L}\p{N}]+/u)).filter((p) => p.length >= LEAST_PART);
  if (parts.some((part) => password.toLowerCase().includes(part))) return "passwordFromForm";
  return strength.check(password, [...parts]).score < LEAST_SCORE ? "passwordGuessed" : null;
}
