import type { Json } from "../core/file/facts";
import type { Profile } from "./profile";

/** One thing that happens to a file, on a day counted from the demo's anchor. */
type What =
  | { readonly do: "fill" | "ask referee" | "submit" | "withdraw" }
  | { readonly do: "reference declined" }
  | { readonly do: "reference given"; readonly letter?: boolean }
  | { readonly do: "reference takes longer"; readonly until: string; readonly words: string }
  | { readonly do: "fill some"; readonly sections: number }
  /** Any form: what the story tells by `section.field`, and a plausible answer for all else. */
  | {
      readonly do: "fill any";
      readonly told?: Readonly<Record<string, Json>>;
      /** Entries of lists, by section, each with its fields. */
      readonly entries?: Readonly<Record<string, readonly Readonly<Record<string, Json>>[]>>;
    }
  | { readonly do: "supply any" | "accept any" | "ask registries" }
  /** A registry publishes other marks for a sitting that it has, and is asked again. */
  | { readonly do: "registry corrects"; readonly candidate: string; readonly marks: Readonly<Record<string, string>> }
  | { readonly do: "add choice"; readonly round: string }
  | { readonly do: "reopen"; readonly sections: readonly string[]; readonly text: string; readonly days: number }
  /** Answers by `section.field`, changed in the opened sections and sent. */
  | { readonly do: "correct"; readonly changes: Readonly<Record<string, Json>> }
  | {
      readonly do: "supply";
      readonly which?: readonly ("passport" | "certificate" | "transcript" | "motivation" | "english")[];
      readonly incomplete?: boolean;
      /** The certificate comes with the transcript behind it, in one file. */
      readonly bundled?: boolean;
    }
  | { readonly do: "pay"; readonly result?: "booked" | "declined" }
  | { readonly do: "take"; readonly by: "officer" | "second" | "lead" }
  | { readonly do: "accept"; readonly which: readonly string[]; readonly proof?: "copy" | "original seen" }
  | {
      readonly do: "send back";
      readonly which: string;
      readonly reason: "unreadable" | "incomplete" | "wrong-document" | "not-matching" | "expired";
      readonly text: string;
      readonly days: number;
    }
  /** Values outside lists by `section.field`, as they stand on the documents. */
  | { readonly do: "establish"; readonly values: Readonly<Record<string, string>> }
  | { readonly do: "confirm"; readonly changed?: Readonly<Record<string, string>> }
  | {
      readonly do: "decide";
      readonly kind: "offer" | "offer on conditions" | "waiting list" | "refusal";
      readonly reason?: string;
      readonly release: boolean;
    }
  /** Rules on the case of a degree, or of the section that is named. */
  | {
      readonly do: "rule";
      readonly question: string;
      readonly section: string;
      readonly verdict: "accepted" | "refused";
      readonly reason: string;
      readonly equalTo?: string;
      readonly limits?: string;
    }
  /** Says that an entry rule counts as something else than was worked out. */
  | { readonly do: "override"; readonly rule: string; readonly finding: "met" | "not met"; readonly reason: string }
  /** An officer makes work of what stands in a section. */
  | { readonly do: "task"; readonly section: string; readonly title: string; readonly days: number }
  /** An adviser grants what makes up for somebody's circumstances. */
  | { readonly do: "adjust"; readonly what: string; readonly why: string }
  /** The office asks for several things in one mail: requirements again or at last, and questions to be answered in words. */
  | {
      readonly do: "ask for";
      readonly items?: readonly { readonly which: string; readonly text: string }[];
      readonly questions?: readonly string[];
      readonly words?: string;
      readonly days: number;
    }
  /** The applicant answers the first question that is open. */
  | { readonly do: "answer question"; readonly text: string }
  /** A paper is said to be on its way by post; one came, which is looked at or not, and goes back or not; one came without a name. */
  | { readonly do: "announce paper"; readonly which: string; readonly days: number }
  | {
      readonly do: "paper came";
      readonly which: string;
      readonly sender?: string;
      readonly became?: "kept" | "goes back";
    }
  | { readonly do: "stray paper"; readonly contents: string; readonly sender: string }
  /** The applicant writes to the office, about a section or the whole; the office answers. */
  | { readonly do: "write us"; readonly text: string; readonly about?: string }
  | { readonly do: "write back"; readonly text: string; readonly question?: string }
  /** Somebody writes by mail: answers what was sent to them last, or not; from their own mailbox, or from another. */
  | {
      readonly do: "mail us";
      readonly from?: string;
      readonly subject: string;
      readonly text: string;
      readonly answers?: boolean;
      readonly attach?: string;
    }
  | { readonly do: "answer"; readonly answer: "accepted" | "declined" };

export type Moment = What & { readonly day: number; readonly at?: string };

/** A file of the demo: who, what happened, and what an officer must find on the anchor day. */
export interface Story {
  readonly key: string;
  readonly tells: string;
  readonly profile: Profile;
  /** The round by programme and key, such as `FYC rolling`; that of MES where nothing is said. */
  readonly round?: string;
  readonly track?: string;
  readonly moments: readonly Moment[];
  readonly expects: {
    readonly stage: string;
    readonly turn: string;
    readonly next: string | null;
    readonly requirement?: string;
    /** Findings that are not simply met, by the key of the entry rule. */
    readonly findings?: Readonly<Record<string, "met" | "not met" | "open">>;
    readonly eligibility?: string;
  };
}
