import type { DeclineReason, ReferenceList, ReferenceSign } from "../../core/references/requests";

/** The office's words about references. */

export const DECLINE_WORDS: Readonly<Record<DeclineReason, string>> = {
  "no time": "has no time",
  "not well enough": "does not know the applicant well enough",
  "too close": "is too close to the applicant",
  "not me": "is not the person who was named",
  other: "gave no reason",
};

export const REFERENCE_LIST_WORDS: Readonly<Record<ReferenceList, { readonly name: string; readonly none: string }>> = {
  "more time": { name: "Ask for more time", none: "No referee asks for more time." },
  endangered: { name: "Endangered", none: "No reference is overdue or due within a week." },
  failed: {
    name: "Declined or not reached",
    none: "Wherever a referee declined or was not reached, somebody else is asked.",
  },
  waiting: { name: "Waiting", none: "No other referee has been asked." },
  "not asked": { name: "Not asked yet", none: "Every referee whom a form names was asked." },
  given: { name: "Came in the last 30 days", none: "No reference came in the last 30 days." },
};

export const REFERENCE_SIGN_WORDS: Readonly<Record<ReferenceSign, string>> = {
  "open mailbox": "Anybody can open a mailbox there.",
  "same letter": "The same letter stands in another file.",
  "own browser": "It was opened in a browser in which the applicant was signed in.",
  "own name": "Referee and applicant have the same name.",
  "same address": "Another person’s referee of another name has this address.",
};

/** What came of a request so far, in a few words. */
export function requestWords(request: {
  readonly state: string;
  readonly begun: boolean;
  readonly openedAt: string | null;
  readonly declineReason: DeclineReason | null;
}): string {
  switch (request.state) {
    case "asked":
      return "asked";
    case "opened":
      return request.begun ? "begun to write" : "opened";
    case "given":
      return "given";
    case "declined":
      return request.declineReason === "not me" ? "reached somebody else" : "declined";
    case "undeliverable":
      return "not reached";
    case "withdrawn":
      return "ended";
    default:
      return "not asked yet";
  }
}
