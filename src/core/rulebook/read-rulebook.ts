import { type RulebookBody, rulebookSchema } from "./rulebook";

const MOST_SAID = 12;

/**
 * Reads a rulebook from the text of a file.
 * @returns the rulebook, or what is wrong with it, each with its place ("requirements → 3 → neededBy"), the first dozen
 */
export function readRulebook(text: string): { readonly body: RulebookBody } | { readonly wrong: readonly string[] } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { wrong: [`This file is no JSON: ${error instanceof Error ? error.message : "it cannot be read"}.`] };
  }
  const parsed = rulebookSchema.safeParse(json);
  if (parsed.success) return { body: parsed.data };
  return {
    wrong: parsed.error.issues
      .slice(0, MOST_SAID)
      .map((issue) => `${issue.path.join(" → ") || "The whole"}: ${issue.message}`),
  };
}
