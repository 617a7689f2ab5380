import type { AnswerFact, ConfirmationFact } from "../assessment/facts";
import { partsChanged } from "../difference/parts";
import { namedInRulebook } from "../rulebook/conditions";
import type { Rulebook, RulebookBody } from "../rulebook/rulebook";
import type { FieldKind } from "../sections/definition";
import type { ReferenceSet } from "./reference-set";

/**
 * What a change of the reference set can touch. Assessments look its scales, tests, subject areas, papers and lists up by their keys
 * alone, and the keys stand in answers, in confirmed values and in rulebooks. So a file that names nothing that changed stands as it stood.
 */

const KEYED = ["scales", "tests", "areas", "papers", "entitlements"] as const;
type List = (typeof KEYED)[number];

/** What is shown, or used by other work than assessments. */
const NOT_ASSESSED = ["name", "campuses", "map", "keepDraftsDays"];

/** `scales to20`, or `rulebook` with its id: what a file rests on. */
const nameIn = (list: List, key: string): string => `${list} ${key}`;
export const nameOfRulebook = (id: string): string => `rulebook ${id}`;

/** The names under which a change is found in answers and rulebooks; null where it can touch every file. */
export function changedNames(before: ReferenceSet, after: ReferenceSet): readonly string[] | null {
  if (partsChanged(before, after, [...KEYED, ...NOT_ASSESSED]).length > 0) return null;
  return KEYED.flatMap((list) => {
    const [was, is] = [before, after].map((set) => new Map(set[list].map((item) => [item.key, item])));
    const keys = [...new Set([...(was?.keys() ?? []), ...(is?.keys() ?? [])])];
    return keys
      .filter((key) => partsChanged(was?.get(key) ?? {}, is?.get(key) ?? {}, []).length > 0)
      .map((key) => nameIn(list, key));
  });
}

const LIST_OF: Readonly<Partial<Record<FieldKind, List>>> = {
  scale: "scales",
  test: "tests",
  area: "areas",
  paper: "papers",
};

/** Everything of the reference set that a file can rest on, in order, each once. */
export function restsOn(
  answers: readonly AnswerFact[],
  confirmations: readonly ConfirmationFact[],
  rulebooks: Readonly<Record<string, Rulebook>>,
): readonly string[] {
  const lists = new Map(
    Object.values(rulebooks).flatMap(({ body }) =>
      body.sections.flatMap((s) =>
        s.fields.flatMap((f) => (LIST_OF[f.kind] ? [[`${s.key} ${f.key}`, LIST_OF[f.kind]] as const] : [])),
      ),
    ),
  );
  const names = new Set(Object.keys(rulebooks).map(nameOfRulebook));
  for (const { section, field, value } of [...answers, ...confirmations]) {
    const list = typeof value === "string" && value !== "" ? lists.get(`${section} ${field}`) : undefined;
    if (list) names.add(nameIn(list, String(value)));
  }
  return [...names].sort();
}

/** Whether a rulebook itself names anything that changed. */
export function isNamedIn(body: RulebookBody, names: readonly string[]): boolean {
  const named = namedInRulebook(body);
  return KEYED.some((list) => named[list].some((key) => names.includes(nameIn(list, key))));
}
