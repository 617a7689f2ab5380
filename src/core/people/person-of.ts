import type { AnswerFact } from "../file/facts";
import type { PersonKeys } from "./same-person";
import { shownName } from "./shown-name";

/** What of a file is compared with others: the name, the date of birth and the number of the travel document, as they are claimed. */
export function personOf(answers: readonly AnswerFact[], email: string | null): PersonKeys {
  const own = answers.filter(({ section }) => section === "person" || section === "citizenship");
  const text = (section: string, field: string): string => {
    const value = own.find((a) => a.section === section && a.field === field)?.value;
    return typeof value === "string" ? value.trim() : "";
  };
  const number = text("citizenship", "passportNumber");
  const former = text("person", "formerNames")
    .split(/[,;\n]/u)
    .map((name) => name.trim())
    .filter(Boolean);
  return {
    name: shownName({ answers: own }),
    formerNames: former,
    birthDate: text("person", "birthDate"),
    email,
    // Which country issued it is not asked: with several citizenships it would be a guess, so the number stands alone.
    document: number === "" ? null : ["", number],
  };
}
