import { z } from "zod";
import type { FactSource } from "../rules/fact";
import { localTextSchema } from "../text/local-text";

/**
 * Identity papers as the office keeps them: who may hold one, and what its number looks like. A rulebook says which of them count, and for
 * which applicant groups.
 */
export const paperSchema = z.object({
  key: z.string(),
  title: localTextSchema,
  /** Whose citizens hold one (ISO 3166, two letters); nobody in particular where empty. */
  countries: z.array(z.string().regex(/^[A-Z]{2}$/u)).max(300),
  /** What its number looks like: `0` is a digit, `A` a letter, `X` either, any other sign itself. Any number where empty. */
  numbers: z.array(z.string().trim().min(1).max(40)).max(20),
});
export type Paper = z.infer<typeof paperSchema>;

/** A paper that counts in a rulebook: for these applicant groups, or for everybody where they are left out. */
export const countingPaperSchema = z.object({ key: z.string(), groups: z.array(z.string()).min(1).optional() });
export type CountingPaper = z.infer<typeof countingPaperSchema>;

/** Small and capital letters, and spaces in between, make no other number. */
const bare = (text: string): string => text.replace(/\s+/gu, "").toUpperCase();

const SIGNS: Readonly<Record<string, RegExp>> = { "0": /\d/u, A: /\p{L}/u, X: /[\p{L}\d]/u };

function fits(number: string, pattern: string): boolean {
  const signs = [...number];
  const wanted = [...pattern];
  return signs.length === wanted.length && wanted.every((w, i) => SIGNS[w]?.test(signs[i] ?? "") ?? w === signs[i]);
}

/** Whether a number looks like one of these. */
export function looksLike(number: string, patterns: readonly string[]): boolean {
  return patterns.length === 0 || patterns.some((pattern) => fits(bare(number), bare(pattern)));
}

/**
 * The papers that a person may show: those that count for their group, and that somebody of their citizenships may hold. What is not
 * known yet about the person rules nothing out.
 * @param counting the rulebook's own list; all of the office's where it has none
 */
export function papersFor(
  papers: readonly Paper[],
  counting: readonly CountingPaper[] | undefined,
  facts: FactSource,
): readonly Paper[] {
  const group = facts.scalar("group");
  const citizenships = facts.scalar("citizenship.citizenships");
  const held = (paper: Paper): boolean =>
    paper.countries.length === 0 ||
    citizenships.kind !== "value" ||
    !Array.isArray(citizenships.value) ||
    citizenships.value.some((country) => paper.countries.includes(country));
  const counts = ({ key }: Paper): boolean => {
    if (!counting) return true;
    const named = counting.find((c) => c.key === key);
    if (!named) return false;
    return !named.groups || group.kind !== "value" || named.groups.includes(String(group.value));
  };
  return papers.filter((paper) => counts(paper) && held(paper));
}

/** The papers that count in both lists, for the groups for which they do. */
export function joinCounting(
  a: readonly CountingPaper[] | undefined,
  b: readonly CountingPaper[] | undefined,
): readonly CountingPaper[] | undefined {
  if (!a || !b) return a ?? b;
  return a.flatMap((one): readonly CountingPaper[] => {
    const other = b.find((o) => o.key === one.key);
    if (!other) return [];
    if (!one.groups || !other.groups) return [{ ...other, ...one }];
    const groups = one.groups.filter((g) => other.groups?.includes(g));
    return groups.length > 0 ? [{ key: one.key, groups }] : [];
  });
}
