import type { AnswerFact } from "../file/facts";
import type { Section } from "../rulebook/section";
import { numberKey } from "./owner-list";

/** An entry of the form that claims a result by the number under which the owner of its test has it. */
export interface NumberedClaim {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly test: string;
  /** As numbers are compared. */
  readonly number: string;
}

/** The results that a file claims with a number. */
export function numberedClaims(
  answers: readonly Pick<AnswerFact, "scope" | "section" | "entry" | "field" | "value">[],
  sections: readonly Pick<Section, "key" | "core">[],
): readonly NumberedClaim[] {
  const ofTests = new Set(sections.filter((s) => s.core === "tests").map((s) => s.key));
  const textAt = (place: Pick<NumberedClaim, "scope" | "section" | "entry">, field: string): string => {
    const { scope, section, entry } = place;
    const value = answers.find(
      (a) => a.scope === scope && a.section === section && a.entry === entry && a.field === field,
    )?.value;
    return typeof value === "string" ? value : "";
  };
  return answers
    .filter((a) => ofTests.has(a.section) && a.field === "number" && a.entry !== "")
    .map(({ scope, section, entry }) => {
      const place = { scope, section, entry };
      return { ...place, test: textAt(place, "test"), number: numberKey(textAt(place, "number")) };
    })
    .filter((claim) => claim.test !== "" && claim.number !== "");
}

/** The key under which a file is found that claims a number of a test. */
export const claimKey = ({ test, number }: Pick<NumberedClaim, "test" | "number">): string => `test ${test} ${number}`;
