import { isNotKnown } from "../answers/not-known";
import type { Json } from "../file/facts";
import type { Field, Section } from "../rulebook/section";

/** Kinds of which there are few enough answers to count each. */
const COUNTABLE: readonly Field["kind"][] = [
  "choice",
  "several",
  "ranked",
  "yesNo",
  "country",
  "countries",
  "language",
];

/** Whether a field can be counted at all. */
export const canBeCounted = ({ kind }: Pick<Field, "kind">): boolean => COUNTABLE.includes(kind);

/** What the office reads in figures alone is always counted, other fields where the rulebook says so; lists are not. */
export const isCounted = (
  section: Pick<Section, "repeats">,
  field: Pick<Field, "kind" | "seenBy" | "counted">,
): boolean =>
  section.repeats === undefined && canBeCounted(field) && (field.seenBy === "figures" || field.counted === true);

/** Kinds that are read and not counted. */
const WRITTEN: readonly Field["kind"][] = ["text", "longText", "statement"];

/** Whether what is written in a field is read apart from the files: nobody may know who wrote it, and it cannot be counted. */
export const isReadApart = (
  section: Pick<Section, "repeats">,
  { kind, seenBy }: Pick<Field, "kind" | "seenBy">,
): boolean => section.repeats === undefined && seenBy === "figures" && WRITTEN.includes(kind);

/** Whether nobody in the office may know who gave which answer. */
export const isSecret = ({ seenBy }: Pick<Field, "seenBy">): boolean =>
  seenBy === "figures" || seenBy === "finance" || seenBy === "advisers";

/** Whether several answers may be given, so that the lines add up to more than the people. */
export const takesSeveral = ({ kind }: Pick<Field, "kind">): boolean =>
  kind === "several" || kind === "countries" || kind === "ranked";

/** An answer with how many gave it. */
export interface Counted {
  readonly value: string;
  readonly count: number;
}

export interface Tally {
  /** How many answered at all. */
  readonly answered: number;
  /** How many of them said that they do not know. */
  readonly notKnown: number;
  readonly lines: readonly Counted[];
}

/** What an answer is counted under; of a ranked list the first alone. */
function countedUnder(field: Pick<Field, "kind">, value: Json): readonly string[] {
  if (typeof value === "boolean") return [value ? "yes" : "no"];
  if (Array.isArray(value)) {
    const texts = value.filter((v): v is string => typeof v === "string" && v !== "");
    return field.kind === "ranked" ? texts.slice(0, 1) : [...new Set(texts)];
  }
  return typeof value === "string" && value !== "" ? [value] : [];
}

/**
 * How often each answer to a field was given: the answers that can be chosen in their order, also those that nobody gave, then any other
 * from the most frequent on.
 * @param answers each with how many people gave it
 */
export function tally(
  field: Pick<Field, "kind" | "options">,
  answers: readonly { readonly value: Json; readonly people: number }[],
): Tally {
  const offered = field.kind === "yesNo" ? ["yes", "no"] : (field.options ?? []).map((o) => o.value);
  const counts = new Map<string, number>(offered.map((value) => [value, 0]));
  let [answered, notKnown] = [0, 0];
  for (const { value, people } of answers) {
    const under = countedUnder(field, value);
    if (isNotKnown(value)) notKnown += people;
    else if (under.length === 0) continue;
    answered += people;
    for (const key of under) counts.set(key, (counts.get(key) ?? 0) + people);
  }
  const lines = [...counts].map(([value, count]) => ({ value, count }));
  const others = lines.slice(offered.length).sort((a, b) => b.count - a.count || (a.value < b.value ? -1 : 1));
  return { answered, notKnown, lines: [...lines.slice(0, offered.length), ...others] };
}
