import { z } from "zod";
import { fold } from "../people/fold";
import type { LocalText } from "../text/local-text";
import type { Section } from "./section";

const part = z.string().trim().max(300).default("");

/** As much of a qualification, or of a claim, as tells one case from another. What is not known is empty. */
export const ruledCaseSchema = z.object({ country: part, institution: part, title: part, level: part });
export type RuledCase = z.infer<typeof ruledCaseSchema>;

export const RULINGS = ["accepted", "refused"] as const;
export type Verdict = (typeof RULINGS)[number];

type CaseFields = Readonly<Record<keyof RuledCase, string | null>>;

/** The fields of a section in which a case stands, by what they are: a title of its own, else what was picked. */
export function caseFields(section: Pick<Section, "fields">): CaseFields {
  const ofKind = (kind: string) =>
    section.fields.find((f) => f.kind === kind && f.seenBy === "assessment")?.key ?? null;
  const keyed = (...keys: readonly string[]) => section.fields.find((f) => keys.includes(f.key))?.key ?? null;
  const picked =
    section.fields.find((f) => f.kind === "choice" && f.key !== "level" && f.key !== "status")?.key ?? null;
  return {
    country: ofKind("country"),
    institution: ofKind("institution"),
    title: keyed("title", "award", "certificate", "ground") ?? picked,
    level: keyed("level"),
  };
}

/** @param read a field's value as text; null where it is not known */
export function caseOf(fields: CaseFields, read: (field: string) => string | null): RuledCase {
  const at = (field: string | null) => (field === null ? "" : (read(field) ?? ""));
  return {
    country: at(fields.country),
    institution: at(fields.institution),
    title: at(fields.title),
    level: at(fields.level),
  };
}

const alike = (a: string, b: string) => a !== "" && fold(a) === fold(b);

/** How near an earlier case is: the same in all that is known of both, of the same institution, or of the same country and level. */
export const NEARNESS = ["same", "same institution", "same country"] as const;
export type Nearness = (typeof NEARNESS)[number];

export function nearnessOf(now: RuledCase, before: RuledCase): Nearness | null {
  if (now.country !== before.country) return null;
  const level = now.level === before.level;
  if (level && fold(now.institution) === fold(before.institution) && fold(now.title) === fold(before.title))
    return "same";
  if (alike(now.institution, before.institution)) return "same institution";
  return level ? "same country" : null;
}

/**
 * A list of what is accepted without further reading. An entry names a country and may narrow it down; each word of its title has to
 * occur in the title of the case, in any order.
 */
export const entitlementListSchema = z.object({
  key: z.string(),
  title: z.object({ en: z.string(), fr: z.string() }),
  entries: z
    .array(
      z.object({
        country: z.string().regex(/^[A-Z]{2,3}$/u),
        institution: z.string().trim().max(300).optional(),
        title: z.string().trim().max(300).optional(),
        level: z.string().trim().max(40).optional(),
      }),
    )
    .max(5000),
});
export type EntitlementList = z.infer<typeof entitlementListSchema>;
export type Entitlement = EntitlementList["entries"][number];

const wordsOf = (text: string): readonly string[] => fold(text).split(" ").filter(Boolean);

/** The entry of a list that accepts a case; undefined where none does, or where too little of the case is known. */
export function entitledBy(list: Pick<EntitlementList, "entries">, now: RuledCase): Entitlement | undefined {
  const title = wordsOf(now.title);
  return list.entries.find(
    (e) =>
      e.country === now.country &&
      (e.institution === undefined || alike(e.institution, now.institution)) &&
      (e.level === undefined || e.level === now.level) &&
      (e.title === undefined || wordsOf(e.title).every((word) => title.includes(word))),
  );
}

/** The title of a case in words: what was picked has a name in each language, what was typed is as it was typed. */
export function caseTitle(section: Pick<Section, "fields">, { title }: RuledCase): LocalText {
  const field = section.fields.find((f) => f.key === caseFields(section).title);
  return field?.options?.find((o) => o.value === title)?.title ?? { en: title, fr: title };
}
