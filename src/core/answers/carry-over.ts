import type { AnswerFact, EvidenceFact, Json } from "../file/facts";
import type { DocumentRequirement, Requirement } from "../rulebook/requirement";
import type { Field, Section } from "../rulebook/section";
import type { ReferenceSet } from "../standards/reference-set";
import { type Day, parseDay } from "../time/day";
import { checkValue } from "./check-value";
import { COMPLETE_FIELD } from "./typed-facts";

/** What stays the same from one application to the next in every form: who somebody is, and what they have studied. */
const PROFILE: readonly Section["core"][] = [
  "person",
  "contact",
  "citizenship",
  "education",
  "courses",
  "schools",
  "sittings",
  "subjects",
];

/** Whether answers come along by the kind of their section, whatever a rulebook says. */
export const carriesByKind = ({ core }: Pick<Section, "core">): boolean => PROFILE.includes(core);

const isCarried = (s: Section): boolean => s.scope === "file" && (s.carries === true || carriesByKind(s));

/**
 * The answers of an earlier application that a new form asks for again, as far as they pass its checks. That a list is whole is not
 * carried: the applicant says it anew, because more may have come since.
 * @param sections the new form
 */
export function carriedAnswers(
  earlier: readonly AnswerFact[],
  sections: readonly Section[],
  office: ReferenceSet,
): readonly AnswerFact[] {
  const wanted = new Map(
    sections
      .filter(isCarried)
      .flatMap((s) =>
        s.fields.map((f) => [`${s.key}.${f.key}`, { repeats: s.repeats !== undefined, field: f }] as const),
      ),
  );
  return earlier.filter((answer) => {
    const asked = wanted.get(`${answer.section}.${answer.field}`);
    if (!asked || answer.scope !== "file" || answer.field === COMPLETE_FIELD) return false;
    if (asked.repeats !== (answer.entry !== "") || answer.value === null || answer.value === "") return false;
    return checkValue(asked.field, office, answer.value) === null;
  });
}

/**
 * What a form asks of earlier applications, as far as Unvex knows it.
 * @param number the number of the latest one
 */
export function answersOfEarlier(
  sections: readonly Section[],
  number: string,
): readonly { readonly section: string; readonly field: string; readonly value: Json }[] {
  const value = (f: Field): Json => (f.kind === "yesNo" ? true : number);
  return sections
    .filter((s) => s.scope === "file" && s.repeats === undefined)
    .flatMap((s) => s.fields.filter((f) => f.earlier).map((f) => ({ section: s.key, field: f.key, value: value(f) })));
}

/** Whether a day that the paper shows, and on which it ends, is over. */
function isOver(
  paper: DocumentRequirement,
  entry: string,
  answers: readonly AnswerFact[],
  ends: ReadonlySet<string>,
  today: Day,
) {
  return answers.some((a) => {
    if (!paper.shows.includes(`${a.section}.${a.field}`) || !ends.has(`${a.section}.${a.field}`)) return false;
    const day = a.entry === "" || a.entry === entry ? parseDay(String(a.value)) : null;
    return day !== null && day < today;
  });
}

/**
 * The papers of an earlier application that a new form asks for again and that still hold: papers that show something of the person, nothing that was returned,
 * that somebody signed for that application, or that is over; of a paper asked for entry by entry, those of the entries that come along.
 * @param carried the answers that come along
 */
export function carriedPapers<Paper extends Pick<EvidenceFact, "requirement" | "scope" | "entry" | "judgement">>(
  papers: readonly Paper[],
  carried: readonly AnswerFact[],
  { sections, requirements }: { readonly sections: readonly Section[]; readonly requirements: readonly Requirement[] },
  today: Day,
): readonly Paper[] {
  const ends = new Set(sections.flatMap((s) => s.fields.filter((f) => f.ends).map((f) => `${s.key}.${f.key}`)));
  const entries = new Set(carried.map((a) => a.entry));
  return papers.filter(({ requirement, scope, entry, judgement }) => {
    const asked = requirements.find((r) => r.key === requirement);
    if (asked?.kind !== "document" || asked.signedBy || asked.scope !== "file" || scope !== "file") return false;
    if ((asked.perEntryOf !== undefined) !== (entry !== "") || !entries.has(entry)) return false;
    // What somebody wrote for that programme proves nothing of them.
    if (asked.shows.length === 0 && !asked.picture) return false;
    return judgement !== "returned" && !isOver(asked, entry, carried, ends, today);
  });
}
