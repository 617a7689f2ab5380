import type { PersonKeys } from "./same-person";
import { type SaidOfPerson, shownName, standsIn } from "./shown-name";

const OF_PERSONS = new Set(["person", "citizenship"]);

/**
 * What of a file is compared with others: the name, the date of birth and the number of the travel document. A name that the office has
 * corrected is found by as it was written, too.
 */
export function personOf({ answers, confirmations = [] }: SaidOfPerson, email: string | null): PersonKeys {
  const own = answers.filter(({ section }) => OF_PERSONS.has(section));
  const facts = { answers: own, confirmations: confirmations.filter(({ section }) => OF_PERSONS.has(section)) };
  const text = (section: string, field: string): string => {
    const value = standsIn(facts, section, field);
    return typeof value === "string" ? value.trim() : "";
  };
  const number = text("citizenship", "passportNumber");
  const [name, written] = [shownName(facts), shownName({ answers: own })];
  const former = text("person", "formerNames")
    .split(/[,;\n]/u)
    .map((former) => former.trim())
    .filter(Boolean);
  return {
    name,
    formerNames: written === name || written === "" ? former : [...former, written],
    birthDate: text("person", "birthDate"),
    email,
    // Which country issued it is not asked: with several citizenships it would be a guess, so the number stands alone.
    document: number === "" ? null : ["", number],
  };
}
