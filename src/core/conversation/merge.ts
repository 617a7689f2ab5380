/** Texts that the office writes again and again, with fields in braces that a file fills in: `Dear {name}, …`. */
export const MERGE_FIELDS = ["name", "number", "programme", "next step", "by", "officer"] as const;
export type MergeField = (typeof MERGE_FIELDS)[number];
export type MergeValues = Readonly<Record<MergeField, string>>;

const FIELD = /\{([^{}]*)\}/gu;

const isField = (word: string): word is MergeField => MERGE_FIELDS.some((field) => field === word);

/** The words in braces, each once. */
export const fieldsIn = (text: string): readonly string[] => [
  ...new Set([...text.matchAll(FIELD)].map(([, word = ""]) => word.trim())),
];

/** What stands in braces and is no field. */
export const unknownFields = (text: string): readonly string[] => fieldsIn(text).filter((word) => !isField(word));

export interface Merged {
  readonly text: string;
  /** What stands in braces still: no field, or one that this file has no value for. */
  readonly left: readonly string[];
}

/** Fills in what a file has; what it has not stays in its braces, for a person to see to. */
export function merge(text: string, values: MergeValues): Merged {
  const merged = text.replace(FIELD, (whole, inside: string) => {
    const word = inside.trim();
    return isField(word) && values[word] !== "" ? values[word] : whole;
  });
  return { text: merged, left: fieldsIn(merged) };
}
