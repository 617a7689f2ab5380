import type { Comparison } from "../../core/people/same-person";

/** Why two files look like one person's, as an officer would say it. */
const BIRTH_DATES: Readonly<Record<Comparison["birthDates"], string>> = {
  equal: "born on the same day",
  swap: "day and month of birth exchanged",
  near: "dates of birth one digit apart",
  compatible: "dates of birth that agree as far as they are known",
  unknown: "a date of birth not known",
  different: "born on different days",
};

const SAME = 0.9995;
const ALIKE = 0.75;

export function doubleReasons({ name, byFormerName, birthDates, email, document }: Comparison): readonly string[] {
  const called =
    name >= SAME ? "the same name" : name >= ALIKE ? `names alike to ${Math.round(name * 100)} %` : "another name";
  return [
    byFormerName && name >= ALIKE ? `${called}, by a former one` : called,
    BIRTH_DATES[birthDates],
    ...(document ? ["the same travel document"] : []),
    ...(email ? ["the same mail address"] : []),
  ];
}
