import type { ApplicantAssessment } from "../../core/assessment/applicants-share";
import type { ProgrammeInput, Track } from "../../core/catalogue/programme";
import type { WithdrawnFee } from "../../core/fees/after-withdrawal";
import type { AskWants, Json, PaperWay } from "../../core/file/facts";
import type { Mode } from "../../core/file/mode";
import type { RequirementPlace } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import type { DeclineReason } from "../../core/references/requests";
import type { DocumentRequirement, Picture, Template } from "../../core/rulebook/requirement";
import type { Field } from "../../core/rulebook/section";
import type { Takes } from "../../core/rulebook/takes";
import type { Registers } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import type { Schedule } from "../../core/turns/schedule";
import type { TimeSpent } from "../../core/turns/spent";
import type { ContactPlace } from "../contact/contact-places";
import type { ChangedAnswer } from "./submissions";

export interface Supplied {
  readonly evidenceId: string;
  readonly uploadId: string;
  readonly name: string;
  /** The pages of the upload that are meant, counted from 1. */
  readonly firstPage: number;
  readonly lastPage: number;
  readonly marks: readonly string[];
  readonly size: number;
  readonly judged: boolean;
}

export interface MyApplication {
  readonly id: string;
  readonly number: string;
  readonly zone: string;
  readonly now: string;
  readonly assessment: ApplicantAssessment;
  /** Of each submitted choice that is not closed: what comes when. */
  readonly schedules: readonly Schedule[];
  /** Who had the file for how long since it was submitted; null for a draft. */
  readonly spent: TimeSpent | null;
  /** What facts are called, by the names that rules use. */
  readonly factTitles: Readonly<Record<string, LocalText>>;
  /** The words of the office for reasons for which documents go back, by their keys. */
  readonly returnWords: Readonly<Record<string, LocalText>>;
  readonly groupTitle: LocalText | null;
  /** What was stated that decides the group, as the rules of the groups read it. */
  readonly groupBecause: readonly { readonly field: Pick<Field, "title" | "kind" | "options">; readonly value: Json }[];
  readonly sections: readonly FormSection[];
  readonly documents: readonly {
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly open: boolean;
    /** What the document has to show and, from what was stated, would not. */
    readonly fails: readonly LocalText[];
    readonly help: LocalText | null;
    /** Who may sign it by a link: whom the form names, and what became of the last request; null where nobody signs it. */
    readonly signer: {
      readonly name: string;
      readonly email: string;
      readonly sentence: LocalText;
      readonly last: { readonly state: string; readonly email: string; readonly askedAt: string } | null;
    } | null;
    /** The fields, as `section.field`, whose values it shows. */
    readonly shows: readonly string[];
    /** The name counts as it stands on it. */
    readonly governsName: boolean;
    /** Copies that the office passes on leave it out. */
    readonly keptBack: boolean;
    /** The size of the picture that is asked for; null where any document is. */
    readonly picture: Picture | null;
    readonly takes: Takes;
    readonly languages: DocumentRequirement["languages"] | null;
    /** Forms to download and have filled in. */
    readonly templates: readonly Template[];
    readonly entryTitle: string | null;
    readonly supplied: readonly Supplied[];
    /** Whether it may be said to come otherwise than by upload, and what was said. */
    readonly mayAnnounce: boolean;
    readonly announced: { readonly way: PaperWay; readonly expectedOn: string } | null;
    /** What came of it on paper. */
    readonly papers: readonly { readonly cameOn: string; readonly sentBackAt: string | null }[];
  }[];
  readonly references: readonly {
    readonly id: string;
    readonly referee: string;
    /** Where the mail with the link went. */
    readonly email: string;
    readonly state: string;
    readonly askedAt: string;
    readonly dueAt: string;
    readonly remindedAt: string | null;
    readonly declineReason: DeclineReason | null;
  }[];
  readonly charges: readonly {
    readonly id: string;
    readonly scope: string;
    readonly item: string;
    readonly minor: number;
    readonly paidMinor: number;
    readonly currency: string;
    readonly reference: string;
    readonly last: string | null;
    /** What becomes of it when what it was paid for is withdrawn. */
    readonly whenWithdrawn: WithdrawnFee;
  }[];
  /** What is asked for and not answered, the most urgent first, then what was answered in words. */
  readonly asks: readonly (RequirementPlace & {
    readonly id: string;
    readonly wants: AskWants;
    readonly text: string;
    readonly due: string;
    readonly answer: string | null;
    readonly answeredAt: string | null;
  })[];
  /** What an entry rule asks a ruling on while nothing is submitted: it may be asked for before. */
  readonly cases: readonly {
    readonly question: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly asks: LocalText;
    readonly title: LocalText;
    readonly answer: "accepted" | "refused" | null;
    readonly askedAt: string | null;
  }[];
  /** Values that the office established otherwise than the applicant states them, by where they stand. */
  readonly established: readonly (ChangedAnswer & { readonly scope: string; readonly key: string })[];
  /** What the office opened again and the applicant has not yet sent. */
  readonly reopening: { readonly reason: string; readonly due: string } | null;
  /** What the applicant asked to have opened, and when, while nobody has answered. */
  readonly request: { readonly text: string; readonly askedAt: string } | null;
  /** The parts whose correction may be asked for. */
  readonly correctable: readonly { readonly scope: string; readonly section: string }[];
  readonly choices: readonly {
    readonly id: string;
    readonly code: string;
    readonly title: LocalText;
    readonly award: string;
    /** Whom people may ask about the programme. */
    readonly contact: ProgrammeInput["contact"];
    readonly start: string;
    readonly decision: MyDecision | null;
    readonly submittedAt: string | null;
    readonly withdrawn: boolean;
    readonly rank: number;
    readonly round: string;
    readonly campus: string | null;
    readonly language: string;
    readonly mode: Mode | null;
    readonly track: string | null;
    readonly otherTracks: readonly string[];
    /** Whether further tracks may be named, in the order of preference. */
    readonly tracksRanked: boolean;
    readonly extendedTo: string | null;
    /** What this start offers, to change to while the choice is not submitted. */
    readonly offered: {
      readonly campuses: readonly { readonly key: string; readonly title: LocalText }[];
      readonly languages: readonly string[];
      readonly modes: readonly Mode[];
      readonly tracks: readonly Track[];
    };
  }[];
  readonly ranked: boolean;
  /** All sections but the declaration stand on one page: the form of the one programme that is chosen is that short. */
  readonly onePage: boolean;
  /** How many choices are still needed before any can be submitted. */
  readonly lackingChoices: number;
  /** What is promised of the order of the choices, and when it was for the order of now; null where nothing is. */
  readonly undertaking: { readonly text: LocalText; readonly givenAt: string | null } | null;
  /** What was granted to make up for their circumstances. */
  readonly granted: readonly string[];
  /** Messages of the office that were not read yet. */
  readonly unread: number;
  /** The addresses and numbers at which the applicant is reached. */
  readonly contacts: readonly ContactPlace[];
  /** The application from which answers were carried over, and the sections that they are in. */
  readonly carried: { readonly from: string; readonly sections: readonly string[]; readonly papers?: number } | null;
  readonly events: readonly {
    readonly act: string;
    readonly at: string;
    /** What it was about: a requirement where there was one, the answer of a card service. */
    readonly requirement: string | null;
    readonly scope: string | null;
    readonly entry: string | null;
    readonly result: string | null;
  }[];
  readonly office: Registers;
}

export interface MyDecision {
  readonly kind: string;
  readonly reason: string | null;
  readonly conditions: readonly LocalText[];
  readonly answerBy: string | null;
  readonly answer: string | null;
  readonly answeredAt: string | null;
}
