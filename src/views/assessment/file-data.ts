import type { ContactNote } from "../../core/contact/contact-notes";
import type { RegistryResult, RegistrySitting } from "../../core/education/registry-answer";
import type { AskWants, Json, PaperWay } from "../../core/file/facts";
import type { FileEvent as HistoryEvent } from "../../core/file/file-events";
import type { Mode } from "../../core/file/mode";
import type { RequirementPlace } from "../../core/file/place";
import type { ExplainedAssessment } from "../../core/file/result";
import type { PaperState } from "../../core/post/inputs";
import type { DocumentRequirement } from "../../core/rulebook/requirement";
import type { Field, Keeper } from "../../core/rulebook/section";
import type { ReferenceSet, Registers } from "../../core/standards/reference-set";
import type { Locale, LocalText } from "../../core/text/local-text";
import type { TimeSpent } from "../../core/turns/spent";
import type { ChoiceOffer } from "../application/choice-offer";
import type { ContactPlace } from "../contact/contact-places";
import type { WritingAids } from "../conversation/writing-aids";
import type { Double, FileAccount } from "../people/doubles";
import type { FileReference } from "../references/file-reference";
import type { FileCase } from "../rulings/rulings";
import type { AlikeStatements } from "../statements/likeness";

/** What the file's page shows. */

/** A claimed value beside what the office confirmed. */
export interface ClaimedValue {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly title: LocalText;
  readonly kind: Field["kind"];
  readonly options: Field["options"];
  readonly currency: Field["currency"];
  readonly claim: Json;
  readonly confirmed: Json;
  readonly state: "claimed" | "confirmed" | "changed" | "stale";
  /** What was said of it when it was confirmed; null where nothing was, or the claim has changed since. */
  readonly note: { readonly text: string; readonly by: string; readonly at: string } | null;
  /** What the office had put beside the claim before, the last first, each with its reason. */
  readonly before: readonly { readonly value: Json; readonly text: string; readonly by: string; readonly at: string }[];
  /** The system that owns it. */
  readonly keptBy: Keeper | null;
  /** What was asked to be changed there, while the claim is still the same. */
  readonly pending: { readonly text: string; readonly by: string; readonly at: string } | null;
  /** The number of the earlier application from which it was carried over as it stands. */
  readonly from: string | null;
  /** Whether an entry rule uses it, so that somebody has to confirm it. */
  readonly used: boolean;
  /** Whether the office fills it in: nobody claims it. */
  readonly byOffice: boolean;
}

export interface FileDocument {
  readonly evidenceId: string;
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
  readonly uploadId: string;
  readonly name: string;
  /** The pages of the upload that are meant, counted from 1. */
  readonly firstPage: number;
  readonly lastPage: number;
  /** The evidence of whose pages it is a part. */
  readonly partOf: string | null;
  /** The names of the documents out of whose pages it was put together. */
  readonly joinedOf: readonly string[];
  readonly mediaType: string;
  readonly marks: readonly string[];
  readonly suppliedAt: string;
  readonly replacedAt: string | null;
  readonly judgement: string | null;
  readonly reason: string | null;
  readonly proof: string;
  /** Other files that hold the same bytes. */
  readonly alsoIn: readonly string[];
  /** The requirements of this file under which the same document stands, too. */
  readonly twice: readonly string[];
  /** Pages that are left out of the copies of those who assess, counted from 1. */
  readonly leftOut: readonly number[];
}

export interface FileEvent {
  readonly id: number;
  readonly at: string;
  readonly act: HistoryEvent;
  readonly who: string;
  readonly about: { readonly [key: string]: Json };
}

export interface FileTask {
  readonly id: string;
  /** The section in which it was stated, by its key; "" where it is about none. */
  readonly section: string;
  readonly title: string;
  readonly due: string;
  readonly by: string;
  readonly at: string;
  /** Null while it is open. */
  readonly done: { readonly by: string; readonly at: string; readonly outcome: string } | null;
}

export interface FileData {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly email: string;
  /** When the applicant last signed in; null where that was never or is not kept any more. */
  readonly lastSignIn: string | null;
  readonly now: string;
  readonly zone: string;
  readonly calendar: ReferenceSet["calendar"];
  /** In whose hands it is; `cover`: who stands in for them today. */
  readonly officer: { readonly id: string; readonly name: string; readonly cover: string | null } | null;
  readonly groupTitle: LocalText | null;
  readonly otherNames: {
    readonly called: string | null;
    readonly former: string | null;
    readonly onCertificates: string | null;
  };
  /** What was typed as signature, where it is another name than the form's. */
  readonly signedAs: string | null;
  /** For somebody who is under age today. */
  /** The documents on which the name counts as it stands there. */
  readonly governing: readonly { readonly requirement: string; readonly title: LocalText }[];
  readonly underAge: {
    readonly age: number;
    readonly until: string;
    /** Whether the form asks somebody to sign for the applicant. */
    readonly guardian: boolean;
  } | null;
  readonly assessment: ExplainedAssessment;
  /** Other files that look like the same person’s. */
  readonly doubles: readonly Double[];
  readonly account: FileAccount;
  /** The language in which the applicant is written to. */
  readonly writesIn: Locale;
  readonly likenesses: readonly AlikeStatements[];
  readonly choices: readonly {
    readonly id: string;
    readonly code: string;
    readonly title: LocalText;
    readonly award: string;
    readonly start: string;
    readonly round: string;
    /** Whether its round decides as applications come. */
    readonly rolling: boolean;
    readonly campus: string | null;
    readonly language: string;
    readonly mode: Mode | null;
    readonly track: LocalText | null;
    /** Further tracks that the applicant would take, in the order of preference. */
    readonly otherTracks: readonly LocalText[];
    /** Whether the reader works on this choice, and leads it: another one of the same file may be somebody else’s. */
    readonly may: { readonly work: boolean; readonly lead: boolean };
    /** What else it could be, by key: what the start offers. */
    readonly offered: ChoiceOffer;
    readonly extendedTo: string | null;
    readonly submittedAt: string | null;
    readonly withdrawnAt: string | null;
    /** The version of the rulebook that it stands on, and the one that is published now. */
    readonly rulebook: FileRulebook;
    readonly newest: FileRulebook;
    readonly decision: FileDecision | null;
  }[];
  /** Sections that were opened again, the oldest first; those taken back are not among them. */
  readonly reopenings: readonly FileReopening[];
  /** What the applicant asked to have opened and nobody has answered. */
  readonly request: {
    readonly sections: readonly { readonly scope: string; readonly section: string }[];
    readonly text: string;
    readonly askedAt: string;
  } | null;
  /** The sections that may be opened again. */
  readonly reopenable: readonly { readonly scope: string; readonly section: string; readonly title: string }[];
  readonly values: readonly ClaimedValue[];
  readonly shows: Readonly<Record<string, readonly string[]>>;
  readonly sections: readonly {
    readonly key: string;
    readonly title: LocalText;
    readonly repeats: boolean;
    /** Whether some choice asks for it of this applicant. */
    readonly asked: boolean;
    /** Who alone reads it, where the reader of this does not; null where they see some of it. */
    readonly kept: "advisers" | "finance" | "figures" | null;
    /** Something of it is told to advisers in confidence. */
    readonly confidential: boolean;
    /** Of a list: the applicant says that it is whole, also where nothing stands in it. */
    readonly whole: boolean;
  }[];
  readonly documents: readonly FileDocument[];
  readonly references: readonly FileReference[];
  readonly charges: readonly {
    readonly id: string;
    readonly item: string;
    readonly scope: string;
    readonly minor: number;
    readonly paidMinor: number;
    /** When the last payment was booked. */
    readonly paidAt: string | null;
    readonly currency: string;
    readonly reference: string;
  }[];
  /** What was promised last of the order of the choices, and for which order; null where nothing was. */
  readonly undertaking: {
    readonly at: string;
    readonly text: string;
    readonly choices: readonly { readonly id: string; readonly code: string }[];
  } | null;
  /** Signatures that were asked for by a link, the last one last. */
  readonly signatures: readonly {
    readonly requirement: string;
    readonly name: string;
    readonly email: string;
    readonly state: string;
    readonly askedAt: string;
    readonly answeredAt: string | null;
    readonly signedAs: string | null;
  }[];
  /** Numbers and addresses, and what was noted of them, the first note first. */
  readonly contacts: readonly ContactPlace[];
  readonly contactNotes: readonly (ContactNote & { readonly text: string; readonly by: string | null })[];
  /** What the office says of sections in short, for those who assess. */
  readonly summaries: readonly {
    readonly scope: string;
    readonly section: string;
    readonly text: string;
    readonly by: string;
    readonly at: string;
  }[];
  /** What was granted and holds; why is there for advisers alone. */
  readonly adjustments: readonly {
    readonly id: string;
    readonly what: string;
    readonly why: string | null;
    readonly by: string;
    readonly at: string;
  }[];
  /** Whether the reader is an adviser over one of its programmes. */
  readonly advises: boolean;
  /** What officers made work of, the open ones first. */
  readonly tasks: readonly FileTask[];
  readonly deeds: readonly {
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly note: string;
    readonly by: string;
    readonly at: string;
  }[];
  /** Whether the links that the applicant gave opened. */
  readonly linkNotes: readonly {
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly field: string;
    readonly url: string;
    readonly opens: boolean;
    /** What stood there, as it was kept, and when. */
    readonly copy: { readonly sha256: string; readonly name: string; readonly at: string } | null;
    readonly by: string;
    readonly at: string;
  }[];
  /** Papers that are said to be on their way otherwise than by upload. */
  readonly announced: readonly (RequirementPlace & { readonly way: PaperWay; readonly expectedOn: string })[];
  /** Papers that reached the office, the latest first. */
  readonly papers: readonly FilePaper[];
  /** What the applicant was ever asked for, the earliest first. */
  readonly asks: readonly FileAsk[];
  /** What a registry of examinations was asked and answered, the newest first. */
  readonly registry: readonly RegistryQuery[];
  /** What the rulebooks ask rulings on, with what was ruled on cases like it. */
  readonly cases: readonly FileCase[];
  /** Findings that a lead officer overrode, also those taken back since. */
  readonly overrides: readonly FileOverride[];
  readonly events: readonly FileEvent[];
  /** The identity papers that count for this person, by the field (`section.field`) that asks which one it is. */
  readonly counting: Readonly<Record<string, readonly { readonly key: string; readonly title: LocalText }[]>>;
  /** What the rulebook says of the files and languages that a document may have, by the requirement's key. */
  /** What an officer writes to the applicant with. */
  readonly writing: WritingAids;
  readonly documentRules: Readonly<Record<string, Pick<DocumentRequirement, "takes" | "languages">>>;
  readonly ruleFields: Readonly<Record<string, readonly string[]>>;
  /** What facts are called, by the names that rules use. */
  /** Who had the file for how long since it was submitted; null for a draft. */
  readonly spent: TimeSpent | null;
  readonly factTitles: Readonly<Record<string, string>>;
  readonly office: Registers & Pick<ReferenceSet, "targets">;
}

/** A paper that reached the office. */
export interface FilePaper extends RequirementPlace {
  readonly id: string;
  readonly contents: string;
  readonly sender: string;
  readonly state: PaperState;
  readonly cameOn: string;
  readonly by: string;
  readonly inspectedAt: string | null;
  readonly toGoBackAt: string | null;
  readonly sentBackAt: string | null;
}

/** One thing that the applicant was asked for, answered or not. */
export interface FileAsk extends RequirementPlace {
  readonly id: string;
  /** Those that went out together share it. */
  readonly letter: string;
  readonly wants: AskWants;
  readonly text: string;
  readonly due: string;
  readonly askedAt: string;
  readonly by: string;
  readonly reminders: number;
  readonly answeredAt: string | null;
  /** What was answered in words. */
  readonly answer: string | null;
  readonly readAt: string | null;
}

export interface FileRulebook {
  readonly id: string;
  readonly version: number;
}

export interface RegistryQuery {
  readonly id: string;
  readonly entry: string;
  readonly state: "asked" | "down" | "not found" | "other name" | "found" | "changed";
  readonly candidate: string;
  readonly year: string;
  /** The first year of which the registry has results, where it said so. */
  readonly since: string | null;
  readonly askedAt: string;
  readonly by: string;
  readonly answeredAt: string | null;
  readonly name: string | null;
  readonly results: readonly RegistryResult[] | null;
  /** Further sittings of the same person that the registry knows; none while it is not sure that it is the same. */
  readonly others: readonly RegistrySitting[];
}

export interface FileOverride {
  readonly choice: string;
  readonly rule: string;
  readonly finding: "met" | "not met";
  /** What had been worked out. */
  readonly worked: string;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
  readonly ended: { readonly at: string; readonly by: string; readonly reason: string } | null;
}

export interface FileReopening {
  readonly id: string;
  readonly sections: readonly { readonly scope: string; readonly section: string }[];
  readonly reason: string;
  readonly due: string;
  readonly openedAt: string;
  readonly by: string;
  readonly answeredAt: string | null;
  readonly readAt: string | null;
}

export interface FileDecision {
  readonly kind: string;
  /** For the applicant. */
  readonly reason: string | null;
  /** For the office alone. */
  readonly note: string | null;
  readonly conditions: readonly { readonly rule: string; readonly way: LocalText }[];
  readonly preparedBy: string;
  readonly preparedById: string;
  readonly preparedAt: string;
  readonly releasedBy: string | null;
  readonly releasedAt: string | null;
  readonly answerBy: string | null;
  readonly answer: string | null;
}
