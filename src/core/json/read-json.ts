import type { z } from "zod";

const MOST_SAID = 12;

/**
 * Reads something that is kept as data from the text of a JSON file.
 * @returns what was read, or what is wrong with it, each with its place ("requirements → 3 → neededBy"), the first dozen
 */
export function readJson<T>(
  schema: z.ZodType<T>,
  text: string,
): { readonly body: T } | { readonly wrong: readonly string[] } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { wrong: [`This file is no JSON: ${error instanceof Error ? error.message : "it cannot be read"}.`] };
  }
  const parsed = schema.safeParse(json);
  if (parsed.success) return { body: parsed.data };
  return {
    wrong: parsed.error.issues
      .slice(0, MOST_SAID)
      .map((issue) => `${issue.path.join(" → ") || "The whole"}: ${issue.message}`),
  };
}
