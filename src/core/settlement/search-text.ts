import type { LoadedFile } from "../file/loaded-file";
import { fold } from "../people/fold";
import type { PersonKeys } from "../people/same-person";
import type { RulebookBody } from "../rulebook/rulebook";

/**
 * What a file is found by, as one text: a line for its names, and one for each number, document, referee and institution, folded as what
 * is looked for. A sign before a line says what it is; folding leaves no sign, so that nobody can look for one.
 */
const SIGNS = { name: "", number: "#", document: "^", referee: "~", institution: "&" } as const;
export type FoundBy = keyof typeof SIGNS;

interface Places {
  readonly institutions: readonly (readonly [section: string, field: string])[];
  readonly referees: readonly string[];
}

const placesOf = new WeakMap<RulebookBody, Places>();

function placesIn(body: RulebookBody): Places {
  const known = placesOf.get(body);
  if (known) return known;
  const made = {
    institutions: body.sections.flatMap((s) =>
      s.fields.filter((f) => f.kind === "institution").map((f) => [s.key, f.key] as const),
    ),
    referees: body.sections.filter((s) => s.core === "referees").map((s) => s.key),
  };
  placesOf.set(body, made);
  return made;
}

/** @param person whose names and document they are, as the office knows them */
export function searchText({ facts, rulebooks }: LoadedFile, person: PersonKeys): string {
  const lines = new Set([
    fold([person.name, ...(person.formerNames ?? [])].join(" ")),
    `${SIGNS.number}${facts.application.number}`,
  ]);
  if (person.document) lines.add(`${SIGNS.document}${fold(person.document[1]).replace(/ /gu, "")}`);
  const said = (section: string, field: string, sign: string) => {
    for (const a of facts.answers)
      if (a.section === section && a.field === field && typeof a.value === "string") lines.add(sign + fold(a.value));
  };
  for (const { body } of Object.values(rulebooks)) {
    const { institutions, referees } = placesIn(body);
    for (const section of referees) said(section, "name", SIGNS.referee);
    for (const [section, field] of institutions) said(section, field, SIGNS.institution);
  }
  return [...lines].join("\n");
}

/** The words that have to be found, each somewhere in the text. A number stands as one. */
export const soughtWords = (folded: string): readonly string[] => [...new Set(folded.split(" "))].filter(Boolean);

const threes = (text: string): ReadonlySet<string> => {
  const words = text.split(" ").map((word) => `  ${word} `);
  return new Set(words.flatMap((word) => Array.from({ length: word.length - 2 }, (_, i) => word.slice(i, i + 3))));
};

/** How many threes of letters of a word stand in a line. */
function likeness(line: string, word: string): number {
  const own = threes(line);
  return [...threes(word)].filter((three) => own.has(three)).length;
}

const holds = (line: string, word: string): number => (line.includes(word) ? 1 : 0);

/** @param near whether it was found by what is only nearly so called */
export function foundBy(
  text: string,
  words: readonly string[],
  near = false,
): { readonly by: FoundBy; readonly line: string } | null {
  const score = near ? likeness : holds;
  const hits = text.split("\n").map((line) => {
    const sign = Object.values(SIGNS).find((s) => s !== "" && line.startsWith(s)) ?? "";
    const bare = line.slice(sign.length);
    return { sign, bare, held: words.reduce((sum, word) => sum + score(near ? bare : line, word), 0) };
  });
  const best = hits.reduce((most, hit) => (hit.held > most.held ? hit : most), { sign: "", bare: "", held: 0 });
  const by = (Object.keys(SIGNS) as FoundBy[]).find((kind) => SIGNS[kind] === best.sign); // its own keys
  return best.held === 0 || !by ? null : { by, line: best.bare };
}
