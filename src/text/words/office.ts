import { addWorking, type WorkingCalendar, workingBetween } from "../../core/calendar/working-days";
import type { PlanGap } from "../../core/catalogue/plan-gaps";
import type { Turn } from "../../core/file/facts";
import type { FileEvent } from "../../core/file/file-events";
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

/** Acts in the history, as something that somebody did. */
export const EVENT_WORDS: Readonly<Record<FileEvent, string>> = {
  "start-application": "began the application",
  "add-choice": "added a programme",
  "save-answers": "filled in",
  "upload-document": "supplied",
  "remove-document": "took a document out",
  "request-reference": "asked a referee",
  "withdraw-reference": "withdrew the request to a referee",
  "open-reference": "opened the request",
  "give-reference": "gave the reference",
  "decline-reference": "declined to give a reference",
  "send-reference-again": "sent the request to a referee again",
  "ask-reference-again": "had the request to a referee sent again",
  "remind-referee": "reminded the referee",
  "correct-referee": "corrected who a referee is or where they are reached",
  "extend-reference": "gave a referee more time",
  "end-reference": "ended the request to a referee",
  "take-reference": "put in a reference that came by post or mail",
  "ask-more-time": "asked for more time",
  "reference-undeliverable": "mail to the referee could not be delivered",
  "start-payment": "began a card payment",
  "give-back": "gave back what was paid beyond what is due",
  "record-payment": "card payment settled",
  "submit-application": "submitted",
  "accept-evidence": "accepted",
  "return-evidence": "sent back",
  "undo-judgement": "took the judgement back",
  "ask-applicant": "asked for",
  "settle-ask": "settled what was asked for",
  "send-ask-list": "asked for several things",
  "take-asks-back": "took what was asked for back before it was sent",
  "answer-ask": "answered what was asked",
  "read-answer": "read an answer",
  "extend-ask": "gave more time for what was asked for",
  "remind-asked": "was reminded of what was asked for",
  "carry-over": "answers carried over from an earlier application",
  "request-correction": "asked to correct",
  "request-signature": "asked for a signature by a link",
  "remind-signature": "asked again for a signature by a link",
  "sign-by-link": "signed by the link",
  "decline-signature": "declined to sign by the link",
  "signature-undeliverable": "could not be reached to sign",
  "note-link": "looked at a link",
  "keep-link-copy": "kept a copy of what a link shows",
  "announce-paper": "said that a paper comes otherwise than by upload",
  "drop-announcement": "said that a paper does not come after all",
  "note-paper": "noted a paper that came",
  "match-paper": "found whose a paper is",
  "take-paper-back": "took back that a paper had come",
  "inspect-paper": "looked at a paper",
  "send-paper-back": "sent a paper back",
  "file-pages": "sorted the pages of a document",
  "put-together": "put the pages of a document together again",
  "join-pages": "put pages together as one document",
  "take-apart": "took a document apart again",
  "set-aside-twin": "set a document aside that stood twice",
  "supply-for-applicant": "put in what came by post or mail",
  "note-keeper": "noted a change that another system has to make",
  "note-contact": "noted a call or a letter",
  "ask-contact": "asked whether a number or an address holds",
  "confirm-contact": "said that a number or an address is right",
  "order-copies": "asked for a copy",
  "grant-adjustment": "granted an adjustment",
  "end-adjustment": "ended an adjustment",
  "add-task": "made work of what was stated",
  "finish-task": "finished what was to be done",
  "drop-task": "found that nothing was to be done",
  "do-deed": "saw to",
  "undo-deed": "took back that it was seen to:",
  "erase-file": "erased what was written, as the applicant had asked",
  "erase-draft": "erased what was written: drafts that were not submitted are kept for a time only",
  "give-undertaking": "promised what is asked of the order of the choices",
  "refuse-correction": "refused the correction",
  "reopen-sections": "opened sections for correction",
  "send-corrections": "sent corrected sections",
  "read-corrections": "read the corrections",
  "end-reopening": "took the opening of sections back",
  "change-choice": "changed a choice",
  "arrange-choices": "put the choices in order",
  "extend-choice": "gave more time",
  "follow-group": "moved to another applicant group",
  "move-programme": "put a choice on another programme",
  "suggest-move": "suggested another programme or track",
  "move-choice": "changed the track, campus or mode of a choice",
  "move-to-rulebook": "moved a choice to the newest rulebook",
  "confirm-values": "confirmed values",
  "excuse-requirement": "excused",
  "ask-registry": "asked the registry of examinations",
  "report-registry": "the registry of examinations answered",
  "take-registry-results": "took over results of the registry",
  "leave-registry-results": "left results as they were confirmed",
  "join-accounts": "gave this file and another to one account",
  "part-accounts": "gave this file back to its former account",
  "judge-same-person": "said of another file whether it is the same person’s",
  "leave-out-page": "left a page out of the copies of those who assess, or put it back",
  "write-summary": "wrote in short what a section holds",
  "match-results": "found results in the list of a test’s owner",
  "settle-owner-result": "said of a result under another name whether it is the applicant’s",
  "take-owner-list": "took in a list of results",
  "ask-early-ruling": "asked for a ruling before submitting",
  "judge-likeness": "judged what two statements have in common",
  "send-again": "sent a mail again",
  "tell-missing": "wrote what is still missing",
  "take-back-line": "took out a line that was added from a document",
  "override-finding": "overrode a finding",
  "end-override": "took the override of a finding back",
  "rule-on-case": "ruled on a case",
  "end-case-ruling": "took a ruling back",
  "prepare-decision": "prepared a decision",
  "drop-decision": "took the prepared decision back",
  "release-decision": "released the decision",
  "answer-decision": "answered the offer",
  "take-file": "took the file in hand",
  "hand-file": "put the file into other hands",
  "assign-file": "assigned the file by the rules",
  "assign-arrived": "assigned the file by the rules",
  "remind-applicant": "reminded the applicant of what waits for them",
  "add-note": "noted something for the office",
  "drop-note": "took a note away",
  "mark-file": "put a mark on the file",
  "unmark-file": "took a mark off the file",
  "write-to-office": "wrote to the office",
  "write-to-applicant": "wrote to the applicant",
  "take-message-back": "took a message back before it was sent",
  "settle-messages": "said that a message needs no answer",
  "file-attachment": "put a document of a message where it belongs",
  "mail-came": "answered by mail",
  "mail-returned": "a mail came back",
  "place-mail": "placed a mail that had come in",
  "settle-returned": "saw to a mail that had come back",
  "correct-address": "corrected the address of the account",
  withdraw: "withdrew",
  "time-passed": "time passed",
  "set-file-aside": "could not be assessed again, and was set aside to be tried later",
};

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
