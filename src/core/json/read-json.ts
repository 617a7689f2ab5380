import type { z } from "zod";

const MOST_SAID = 12;

/** What an element of a list is called by whoever wrote it; its place alone where it has no name. */
function nameOf(element: unknown, index: number): string {
  const { title, key } = (element ?? {}) as { title?: { en?: unknown } | null; key?: unknown };
  const name = [title?.en, key].find((text) => typeof text === "string" && text !== "");
  return name === undefined ? `no. ${index + 1}` : `no. ${index + 1}, “${String(name)}”`;
}

/** A place in words, with the names of what it leads through. */
function placeIn(json: unknown, path: readonly PropertyKey[]): string {
  let here = json;
  return path
    .map((step) => {
      here = typeof here === "object" && here !== null ? (here as Record<PropertyKey, unknown>)[step] : undefined;
      return typeof step === "number" ? nameOf(here, step) : String(step);
    })
    .join(" → ");
}

/**
 * Reads something that is kept as data from the text of a JSON file.
 * @returns what was read, or what is wrong with it, each with its place ("requirements → no. 4, “Passport” → neededBy"), the first dozen
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
      .map((issue) => `${placeIn(json, issue.path) || "The whole"}: ${issue.message}`),
  };
}
