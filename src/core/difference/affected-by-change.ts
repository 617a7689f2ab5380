import type { AnswerFact, ConfirmationFact } from "../file/facts";
import { namedInRulebook } from "../rulebook/conditions";
import type { Rulebook, RulebookBody } from "../rulebook/rulebook";
import type { FieldKind } from "../rulebook/section";
import type { ReferenceSet } from "../standards/reference-set";
import { LIST_OF_KIND } from "../standards/register-options";
import { partsChanged } from "./parts";

/**
 * What a change of the reference set can touch. Assessments look its scales, tests, subject areas, papers and lists up by their keys
 * alone, and the keys stand in answers, in confirmed values and in rulebooks. So a file that names nothing that changed stands as it stood.
 */

const KEYED = ["scales", "tests", "areas", "papers", "graduates", "entitlements"] as const;
type List = (typeof KEYED)[number];

/** What is shown, or used by other work than assessments. */
const NOT_ASSESSED = ["name", "campuses", "map", "keepDraftsDays", "keepFilesDays"];

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

/** What a change takes away, list by list, under the names that files rest on. */
export function namesTakenAway(before: ReferenceSet, after: ReferenceSet) {
  return KEYED.flatMap((list) => {
    const kept = new Set(after[list].map((item) => item.key));
    return before[list].filter(({ key }) => !kept.has(key)).map(({ key }) => ({ list, key, name: nameIn(list, key) }));
  });
}

const LIST_OF: Readonly<Partial<Record<FieldKind, List>>> = LIST_OF_KIND;

/** The lists in which the values of a rulebook's fields stand, by section and field. */
const listsOf = new WeakMap<RulebookBody, ReadonlyMap<string, ReadonlyMap<string, List>>>();

function fieldsOfLists(body: RulebookBody): ReadonlyMap<string, ReadonlyMap<string, List>> {
  const known = listsOf.get(body);
  if (known) return known;
  const made = new Map(
    body.sections.map((s) => {
      const named = s.fields.flatMap((f) => {
        const list = LIST_OF[f.kind];
        return list ? [[f.key, list] as const] : [];
      });
      return [s.key, new Map(named)] as const;
    }),
  );
  listsOf.set(body, made);
  return made;
}

/** Everything of the reference set that a file can rest on, in order, each once. */
export function restsOn(
  answers: readonly AnswerFact[],
  confirmations: readonly ConfirmationFact[],
  rulebooks: Readonly<Record<string, Rulebook>>,
): readonly string[] {
  const names = new Set(Object.keys(rulebooks).map(nameOfRulebook));
  for (const { body } of Object.values(rulebooks)) {
    const lists = fieldsOfLists(body);
    let last = "";
    let named = lists.get(last);
    for (const values of [answers, confirmations])
      for (const { section, field, value } of values) {
        // A file's answers come section by section.
        if (section !== last) {
          last = section;
          named = lists.get(section);
        }
        const list = named?.size ? named.get(field) : undefined;
        if (list && typeof value === "string" && value !== "") names.add(nameIn(list, value));
      }
  }
  return [...names].sort();
}

/** Whether a rulebook itself names anything that changed. */
export function isNamedIn(body: RulebookBody, names: readonly string[]): boolean {
  const named = namedInRulebook(body);
  return KEYED.some((list) => named[list].some((key) => names.includes(nameIn(list, key))));
}
