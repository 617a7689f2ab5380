import { addWorking, type WorkingCalendar, workingBetween } from "../../core/calendar/working-days";
import type { PlanGap } from "../../core/catalogue/plan-gaps";
import type { Turn } from "../../core/file/facts";
import type { FileReason } from "../../core/file/reason";
import type { Step } from "../../core/file/result";
import type { Reason } from "../../core/record/outcome";
import type { ProofLevel } from "../../core/rulebook/requirement";
import type { FoundBy } from "../../core/settlement/search-text";
import { dayAt, type ZoneTable } from "../../core/time/zone";

/** The office side's sentences, in English. */
export const TURN_WORDS: Readonly<Record<Turn, string>> = {
  office: "Office",
  faculty: "Faculty",
  applicant: "Applicant",
  payment: "Payment",
  "third party": "Third party",
  nobody: "Nobody",
};

/** Under each turn, why files are held there. */
export const REASON_WORDS: Readonly<Record<FileReason, string>> = {
  check: "Evidence to check",
  confirm: "Values to confirm",
  do: "To see to",
  inspect: "Papers to look at",
  task: "To see to",
  rule: "To rule on",
  decide: "To decide",
  release: "To release",
  fill: "Preparing",
  submit: "Ready to submit",
  supply: "To supply",
  "supply again": "Sent back to them",
  "answer ask": "Asked",
  "read answer": "Answers to read",
  "follow up": "Asked in vain",
  correct: "Sections to correct",
  "read changes": "Corrections to read",
  "read results": "Results that changed",
  "answer request": "Corrections asked for",
  "answer message": "Messages to answer",
  "reach applicant": "Mail that came back",
  "name referee": "To name a referee",
  "answer offer": "Offer to answer",
  prove: "Original to show",
  pay: "To be paid",
  "book payment": "On its way",
  "give reference": "Reference asked for",
  "await result": "Test result to come",
  "await signature": "Signature asked for",
  "await paper": "Promised paper to come",
  "await registry": "Registry to give results",
  withdrawn: "Withdrawn",
  refused: "Refused",
  declined: "Declined our offer",
  lapsed: "Not submitted in time",
  "offer lapsed": "Offer not answered in time",
  decided: "Waiting list",
  answered: "Accepted our offer",
  closed: "Closed",
  preparing: "Preparing",
  submitted: "Submitted",
  complete: "Complete",
  "in review": "In review",
  "load calendar": "Working days to load",
};

/** A title inside a sentence: "Proof of English" becomes "proof of English". */
export const inSentence = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);

/** How far something is proved, as it is handed over. */
export const PROOF_WORDS: Readonly<Record<ProofLevel, string>> = {
  claimed: "nothing beyond what is stated",
  copy: "a copy",
  "certified copy": "a certified copy",
  "original seen": "the original",
  "from the issuer": "a statement from whoever issued it",
};

/** What has to be done, without who and by when: "check the transcript of records". */
export function stepDeed(
  step: Pick<Step, "kind" | "count" | "proof"> & { readonly title?: string | undefined },
): string {
  const title = step.title ? inSentence(step.title) : "evidence";
  const count = step.count ?? 1;
  switch (step.kind) {
    case "check":
      return `check ${title}`;
    case "confirm":
      return `confirm ${count} ${count === 1 ? "value" : "values"} beside ${title}`;
    case "rule":
      return `rule on ${count === 1 ? "a case" : `${count} cases`}: ${title}`;
    case "decide":
      return "decide";
    case "release":
      return "release the decision, by a second person";
    case "fill":
      return `fill in ${count} more ${count === 1 ? "part" : "parts"} and submit`;
    case "submit":
      return "submit";
    case "supply":
      return `supply ${title}`;
    case "supply again":
      return `supply ${title} again`;
    case "answer ask":
      return "answer what we asked";
    case "read answer":
      return "read an answer to what we asked";
    case "follow up":
      return count === 1
        ? "go after what was asked for in vain"
        : `go after ${count} things that were asked for in vain`;
    case "correct":
      return `correct ${count} opened ${count === 1 ? "section" : "sections"} and send them`;
    case "read changes":
      return "read what the applicant corrected";
    case "read results":
      return "say which results count: the registry has others now";
    case "answer request":
      return "answer the wish for a correction";
    case "answer message":
      return count === 1 ? "answer a message" : `answer ${count} messages`;
    case "reach applicant":
      return count === 1 ? "see to a mail that came back" : `see to ${count} mails that came back`;
    case "name referee":
      return "name a referee and send the request";
    case "pay":
      return `pay the ${title}`;
    case "book payment":
      return `wait for the ${title} to be booked`;
    case "give reference":
      return "give the reference";
    case "await result":
      return "wait for the test result";
    case "await paper":
      return `wait for the promised paper: ${title}`;
    case "await registry":
      return "wait for the registry to give the marks";
    case "await signature":
      return `sign by the link: ${title}`;
    case "answer offer":
      return "answer the offer";
    case "prove":
      return `show ${PROOF_WORDS[step.proof ?? "original seen"]}: ${title}`;
    case "inspect":
      return step.title ? `look at the paper that came: ${title}` : "look at a paper that came";
    case "task":
      return `see to ${title}`;
    case "do":
      return `see to ${title}`;
    case "load calendar":
      return "load the calendar of working days";
  }
}

/** Lateness as people say it: "2 working days late", "today", "4 working days left". */
export function timeLeft(
  dueAt: string | null,
  now: number,
  calendar: WorkingCalendar,
  zone: ZoneTable,
): { readonly text: string; readonly late: boolean } {
  if (dueAt === null) return { text: "no date", late: false };
  const due = dayAt(zone, Date.parse(dueAt) - 1);
  const today = dayAt(zone, now);
  if (due < today) {
    const days = Math.max(1, workingBetween(calendar, due, today));
    return { text: `${days} ${days === 1 ? "working day" : "working days"} late`, late: true };
  }
  if (due === today) return { text: "today", late: false };
  const days = workingBetween(calendar, today, due);
  return { text: `${days} ${days === 1 ? "working day" : "working days"} left`, late: false };
}

/** The same for a narrow column: "2 d late", "today", "4 d". */
export function shortTimeLeft(
  dueAt: string | null,
  now: number,
  calendar: WorkingCalendar,
  zone: ZoneTable,
): { readonly text: string; readonly late: boolean } {
  const { text, late } = timeLeft(dueAt, now, calendar, zone);
  return { text: text.replace(/ working days?/u, " d").replace(" left", ""), late };
}

export function proposedDay(calendar: WorkingCalendar, zone: ZoneTable, now: number, days: number): number {
  const today = dayAt(zone, now);
  return addWorking(calendar, today, days) ?? today + days;
}

export const REFUSED_WORDS: Readonly<Record<Reason, string>> = {
  "not-yours": "You may not do this with your role.",
  "not-found": "This is no longer here. Load the page again.",
  "already-done": "Somebody has done this already. Load the page again to see it.",
  locked: "This cannot be changed now.",
  "check-failed": "A check fails, so it cannot be accepted. Send it back instead.",
  "needs-reason": "Say why.",
  "round-open":
    "The round is still open, and it does not decide as applications come. Say in the note why this one is not to wait.",
  "needs-second-person": "You prepared this decision; a second person has to release it.",
  "not-eligible": "The entry rules do not allow this kind of decision.",
  "not-confirmed": "Some findings stand on claimed values. Confirm them first.",
  "already-applied": "This file holds that programme already, or held it before.",
  "choice-rule": "The rules about choices of this procedure do not allow it.",
  "not-offered": "This is not offered there.",
  "not-open-to-you": "They do not meet the condition under which this programme can be chosen.",
  "kept-elsewhere": "Another system owns this value. Have it changed there, and note the change here.",
  "said-twice": "This stands in the list already, and may stand there only once.",
  "undertaking-missing": "What is promised of the order of the choices has not been promised yet.",
  "not-complete": "The file is not complete yet.",
  "name-first": "The applicant’s name is not filled in yet.",
  "own-address": "This is an address of the applicant’s own.",
  "address-taken":
    "Another account has this address. If both are the same person, say so under Accounts and bring them together there.",
  "mailed-enough": "Enough mails went out for today: three to one address, twenty in all.",
  "too-late-to-undo": "Ten seconds have passed: this can no longer be undone.",
  "invalid-input": "Something in the form is not right.",
  "round-closed": "The round has closed.",
  "round-not-open": "The round is not open yet.",
  "link-ended": "This link has ended.",
  "document-refused": "This file cannot be taken.",
  "too-large": "This is too large.",
  "nothing-due": "Nothing is due.",
  "written-enough": "Twenty messages were written today.",
  "field-left": "A field in braces is not filled in. Write what belongs there, or take it out.",
  "unknown-field": "There is no such field.",
  "changed-meanwhile": "This was changed meanwhile. Load the page again.",
};

/** What a start lacks before it opens, as one would tell a colleague. */
export function planGapWords(gap: PlanGap): string {
  switch (gap.code) {
    case "no-field":
      return "no field of study, so nobody finds it by its field";
    case "no-prerequisites":
      return "no words on what somebody must bring";
    case "no-contact":
      return "nobody named for questions";
    case "no-keywords":
      return "no other words to find it by";
    case "no-rulebook":
      return "no published rulebook, so it is not offered";
    case "no-places":
      return "no places";
    case "no-closing":
      return `round ${gap.round} has no closing for the ${gap.group} group`;
    case "starts-before-closing":
      return `round ${gap.round} closes after the first day of study`;
  }
}

/** Scores in the order of a test's parts: “L 41 · R 43”. */
export const scoresInOrder = (
  parts: readonly { readonly key: string }[],
  scores: Readonly<Record<string, string>>,
): string => parts.flatMap(({ key }) => (scores[key] === undefined ? [] : [`${key} ${scores[key]}`])).join(" · ");

const FOUND_WORDS: Readonly<Record<FoundBy | "address", string>> = {
  name: "name",
  number: "number",
  document: "identity paper",
  referee: "referee",
  institution: "institution",
  address: "e-mail address",
};

/** By what a file was found, where that was not its name or its number. */
export const foundWords = (found: { readonly by: FoundBy | "address"; readonly line: string } | null): string | null =>
  found === null || found.by === "name" || found.by === "number"
    ? null
    : [FOUND_WORDS[found.by], found.line].filter(Boolean).join(": ");
