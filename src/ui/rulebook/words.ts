import type { ReferenceDifference } from "../../core/difference/reference-sets";
import type { RulebookDifference } from "../../core/difference/rulebooks";
import type { RulebookHint } from "../../core/rulebook/checks/hints";
import { partTitle } from "../../core/rulebook/checks/part-place";
import type { RulebookProblem } from "../../core/rulebook/checks/problem";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { CORE_KINDS, FieldKind } from "../../core/rulebook/section";
import { factWord } from "../../text/words/trace";

/** The words of the rulebook pages, for the office. */
export const FIELD_KIND_WORDS: Readonly<Record<FieldKind, string>> = {
  text: "one line of text",
  longText: "long text",
  statement: "statement, counted",
  name: "name",
  date: "date",
  country: "country",
  countries: "citizenships or countries",
  language: "language",
  choice: "one of several answers",
  several: "several answers to tick",
  ranked: "answers in order of preference",
  yesNo: "yes or no",
  whole: "whole number",
  decimal: "number with decimals",
  money: "amount of money",
  email: "e-mail address",
  phone: "phone number",
  address: "postal address",
  links: "links",
  entry: "an entry of another list",
  institution: "school or university",
  scale: "grade scale",
  area: "subject area",
  test: "test",
  paper: "identity paper",
  graduateOf: "one of the listed institutions",
  scores: "test scores",
  agree: "statement to agree to",
};

/** What is done with the answers of a section of a known kind. */
export const CORE_KIND_WORDS: Readonly<Record<(typeof CORE_KINDS)[number], string>> = {
  person: "the person: name, birth, papers of identity",
  contact: "how to reach them",
  citizenship: "citizenships and residence: the applicant group",
  education: "degrees: level, grade, length",
  courses: "courses: credits by subject area",
  schools: "schools and their reports",
  sittings: "sittings of an examination",
  subjects: "subjects of a sitting, with marks",
  experience: "work and practice: months over them",
  tests: "test results: levels and minimums",
  referees: "referees: each is asked by a link",
  declaration: "what is declared before submission",
};

export const AREA_WORDS: Readonly<Record<(RulebookDifference | ReferenceDifference)["area"], string>> = {
  section: "Section",
  field: "Field",
  requirement: "Requirement",
  "entry rule": "Entry rule",
  measure: "Computed value",
  fee: "Fee",
  office: "",
  group: "Applicant group",
  campus: "Campus",
  "subject area": "Subject area",
  "grade scale": "Grade scale",
  test: "Test",
  list: "List of what is accepted",
  paper: "Identity paper",
  "listed institution": "Listed institution",
  "working days": "Working days",
};

/** What is wrong, and what to do about it, by the titles that the author gave. */
export function problemSentence(body: RulebookBody, problem: RulebookProblem): string {
  const { code, about, area } = problem;
  const [, what = ""] = about.split(": ");
  const where = partTitle(body, problem);
  const other = partTitle(body, { about: what, ...(area ? { area } : {}) });
  switch (code) {
    case "unknown-fact":
      return `“${where}” reads ${factWord(what, {})}, which nobody is asked. Add the field, or choose another fact.`;
    case "unknown-section":
      return `“${where}” names the section ${what}, which is not there. Choose another.`;
    case "unknown-field":
      return `“${where}” needs the field ${what}, which is not there. Take it out, or add the field.`;
    case "unknown-fee":
      return `“${where}” names a fee item that is not there. Add the item under Fees, or choose another.`;
    case "unknown-role":
      return `“${where}” wants a referee of the role ${what}, which the referees’ section does not offer.`;
    case "unknown-registry-list":
      return `“${where}” takes lines for the list ${what}, but no field of it names an entry of that list. Choose another.`;
    case "duplicate-key":
      return `The short name ${about} stands twice. Give one of the two another.`;
    case "missing-text":
      return `“${where}” has a text that is missing in ${what}.`;
    case "keeper-link":
      return `“${where}” leads to a page whose address does not begin with https://. Correct it, or leave it empty.`;
    case "deed-too-early":
      return `“${where}” is done by the office and cannot be needed by submission. Choose a later moment.`;
    case "no-options":
      return `“${where}” has no answers to choose from. Add at least one.`;
    case "no-papers":
      return `“${where}” asks for an identity paper, but none counts. Tick at least one.`;
    case "no-paper-field":
      return `“${where}” is the number of a paper, but no field of its section asks which paper. Add one, or let it be the number of nothing.`;
    case "no-stretches":
      return `“${where}” counts months over ${what}, which has no fields called start and end. Choose another list, or add them.`;
    case "measure-number":
      return `“${where}” works with “${what}”, which is not a number. Correct it.`;
    case "target-order":
      return `“${where}”: best, lowest pass and worst of our scale (${what}) must stand in one order and differ.`;
    case "bands-order":
      return `“${where}”: the bounds of the table for ${what} must go from the best to the worst, each once.`;
    case "no-tables":
      return `“${where}” has no table with bounds${what ? ` for ${what}` : ""}. Add one, or choose another method.`;
    case "no-minimums":
      return `“${where}” does not say what ${what ? `the test ${what}` : "a test"} has to reach. Add it.`;
    case "no-question":
      return `“${where}” does not say under which question rulings are kept. Name it.`;
    case "no-sections":
      return `“${where}” names no section that answers it. Choose at least one.`;
    case "nothing-asked":
      return "Nothing is asked for yet. Add a section, and a requirement that it answers.";
    case "never-met":
      return `“${where}” can never be met: its conditions exclude each other.`;
    case "contradicts":
      return `“${where}” and “${other}” exclude each other: nobody can meet both.`;
    case "asks-itself":
      return `“${where}” is asked for only where it was filled in already, so it never comes. Choose a fact that is asked for before it.`;
    case "compares-nothing":
      return `“${where}” has a comparison with nothing. Say what it is held against, or take it out.`;
    case "core-field":
      return `“${where}” lacks the field “${what}” of its kind, without which nothing can be done with its entries. Choose the kind once more to have it added.`;
    case "standing-elsewhere":
      return `“${where}” reads how something was settled. Only entry rules can: they are read last. Choose another fact.`;
    case "two-govern":
      return `“${where}” is the second document on which the name counts as it stands there. Leave that to one of them.`;
    case "no-declaration":
      return "Nobody declares anything before submitting. Add a section with a statement to agree to, and a requirement for it that is needed by submission.";
  }
}

/** What is probably not meant, and what to look at. */
export function hintSentence(body: RulebookBody, hint: RulebookHint): string {
  const where = partTitle(body, hint);
  switch (hint.code) {
    case "always-true":
      return `“${where}” is met by everybody. Say what has to hold, or take the rule out.`;
    case "fee-of-nought":
      return `“${where}” is nought for every group: nobody pays it.`;
    case "fee-unasked":
      return `“${where}” is asked for by no requirement: it is charged, and nothing waits for it.`;
    case "no-reduction":
      return `“${where}” has a reduction that is no less than the whole for any group. Correct its amounts, or take it out.`;
    case "section-unasked":
      return `“${where}” belongs to no requirement: nobody has to fill it in.`;
    case "office-fills-in":
      return `“${where}” reads an answer that stays with the office or with finance: rules do not see it.`;
  }
}
