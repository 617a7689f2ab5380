import type { ReferenceProblem } from "../../core/standards/reference-problems";
import type { ReferenceSet } from "../../core/standards/reference-set";

/** The lists of the office's standards, in the order in which they are shown. */
export const LISTS = ["groups", "scales", "tests", "areas", "entitlements", "papers", "graduates", "campuses"] as const;
export type ListName = (typeof LISTS)[number];

export const LIST_WORDS: Readonly<Record<ListName, { readonly title: string; readonly add: string }>> = {
  groups: { title: "Applicant groups", add: "Add a group" },
  scales: { title: "Grade scales", add: "Add a scale" },
  tests: { title: "Tests", add: "Add a test" },
  areas: { title: "Subject areas", add: "Add a subject area" },
  entitlements: { title: "Accepted without reading", add: "Add a list" },
  papers: { title: "Identity papers", add: "Add a paper" },
  graduates: { title: "Listed institutions", add: "Add a listed institution" },
  campuses: { title: "Campuses", add: "Add a campus" },
};

/** The names of what stands in the lists, by key: problems are told by title. */
function nameOf(set: ReferenceSet, area: ReferenceProblem["area"], key: string): string {
  const items = area === "office" ? [] : set[area];
  return items.find((item) => item.key === key)?.title.en || key;
}

/** What is wrong, and what to do about it. */
export function standardsProblem(set: ReferenceSet, { code, area, about }: ReferenceProblem): string {
  const [key = "", what = ""] = about.split(": ");
  const name = `“${nameOf(set, area, key)}”`;
  switch (code) {
    case "missing-text":
      return `${name} has a text that is missing in ${what}.`;
    case "duplicate-key":
      return `The short name ${what || key} stands twice. Give one of the two another.`;
    case "no-groups":
      return "There is no applicant group. Add one that takes everybody.";
    case "last-group":
      return `The last group, ${name}, does not take everybody who is left. Take its condition away, or add a group after it.`;
    case "unreachable-group":
      return `${name} stands behind a group that takes everybody, so nobody can ever be in it. Move it up.`;
    case "never-met":
      return `Nobody can ever be in ${name}: its conditions exclude each other.`;
    case "unknown-fact":
      return `${name} reads ${what}, which no form asks for. Choose another fact.`;
    case "unknown-zone":
      return `There is no time zone called ${about}. Write one like Europe/Dublin.`;
    case "scale-number":
      return `${name} needs numbers for its best, its lowest passing and its worst mark, for example 20, 10 and 0.`;
    case "scale-step":
      return `${name}: the step “${what}” has to be a positive number that leads from the worst mark to the best.`;
    case "scale-percent":
      return what === "source"
        ? `${name}: say where the issuer states what percentage its marks stand for.`
        : `${name}: multiplier and offset of the percentage have to be numbers.`;
    case "scale-order":
      return `In ${name} the lowest passing mark has to lie between the worst and the best mark, and below the best.`;
    case "letter-twice":
      return `${name} has the letter ${what} twice. Take one away.`;
    case "letter-off-scale":
      return `In ${name} the points of ${what} are no number between the worst and the best mark.`;
    case "no-parts":
      return `${name} has no parts. Add at least one, with its range.`;
    case "part-range":
      return `In ${name} the part ${what} needs a highest score above its lowest, and a step above 0.`;
    case "levels-order":
      return `In ${name} the level ${what} stands twice, or asks for less than the level below it.`;
    case "level-range":
      return `In ${name} the level ${what} asks for a score that the test does not have.`;
    case "still-used":
      return `${name} was taken away, but a rulebook, a programme, a round or an applicant’s answer still names it. Put it back, or change those first.`;
  }
}
