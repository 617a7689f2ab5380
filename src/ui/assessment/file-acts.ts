/** The acts that the file's page can call, given to it by the server as typed functions. */
/** Null when it was done, else the sentence that says why not. */
export type Said = string | null;
type Acting<Input> = (input: Input) => Promise<Said>;
export interface Place {
  readonly applicationId: string;
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
}

/** One entry rule of one choice. */
export interface Ruled {
  readonly applicationId: string;
  readonly choiceId: string;
  readonly rule: string;
}

/** What a ruling is about. */
interface CasePlace {
  readonly applicationId: string;
  readonly question: string;
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
}

export interface FileActs {
  readonly remindSignature: Acting<{ readonly applicationId: string; readonly requirement: string }>;
  readonly doDeed: Acting<Place & { readonly note: string }>;
  readonly undoDeed: Acting<Place>;
  readonly setAside: Acting<{ readonly applicationId: string; readonly evidenceId: string }>;
  readonly noteKeeper: Acting<{
    readonly applicationId: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly field: string;
    readonly text: string;
  }>;
  readonly noteLink: Acting<{
    readonly applicationId: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
    readonly field: string;
    readonly url: string;
    readonly opens: boolean;
  }>;
  readonly accept: Acting<Place & { readonly proof?: "copy" | "certified copy" | "original seen" | "from the issuer" }>;
  readonly sendBack: Acting<
    Place & {
      readonly reason:
        | "unreadable"
        | "incomplete"
        | "wrong-document"
        | "not-matching"
        | "expired"
        | "translation-needed"
        | "other";
      readonly text: string;
      readonly due: string;
    }
  >;
  readonly ask: Acting<Place & { readonly text: string; readonly due: string }>;
  readonly settle: Acting<Place>;
  readonly undo: Acting<Place>;
  readonly confirm: Acting<{
    readonly applicationId: string;
    readonly values: {
      readonly scope: string;
      readonly section: string;
      readonly entry: string;
      readonly field: string;
      readonly value?: string;
    }[];
    readonly uploadId?: string | null;
    readonly note?: string | null;
  }>;
  readonly takeBackLine: Acting<{
    readonly applicationId: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
  }>;
  readonly excuse: Acting<Place & { readonly reason: string }>;
  readonly override: Acting<Ruled & { readonly finding: "met" | "not met"; readonly reason: string }>;
  readonly endOverride: Acting<Ruled & { readonly reason: string }>;
  readonly ruleOn: Acting<
    CasePlace & { readonly earlier?: string; readonly verdict?: "accepted" | "refused"; readonly reason?: string }
  >;
  readonly endCaseRuling: Acting<CasePlace>;
  readonly askRegistry: Acting<{
    readonly applicationId: string;
    readonly scope: string;
    readonly section: string;
    readonly entry: string;
  }>;
  readonly takeRegistry: Acting<{ readonly applicationId: string; readonly queryId: string }>;
  readonly leaveOutPage: Acting<{
    readonly applicationId: string;
    readonly uploadId: string;
    readonly page: number;
    readonly out: boolean;
  }>;
  readonly take: Acting<{ readonly applicationId: string; readonly mine: boolean }>;
  readonly prepare: Acting<{
    readonly applicationId: string;
    readonly choiceId: string;
    readonly kind: "offer" | "offer on conditions" | "waiting list" | "refusal";
    readonly reason?: string | null;
  }>;
  readonly drop: Acting<{ readonly applicationId: string; readonly choiceId: string }>;
  readonly release: Acting<{ readonly applicationId: string; readonly choiceId: string }>;
}
