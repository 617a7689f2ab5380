/** Coming in, or trying to, and what is asked for it. */
export const SIGN_IN_KINDS = [
  "signed in",
  "sign-in failed",
  "kept out",
  "code failed",
  "recovery code used",
  "second factor set",
  "second factor removed",
  "passkey added",
  "passkey removed",
] as const;
/** Who was given which right, or was erased. */
const RIGHT_KINDS = [
  "let back in",
  "accounts joined",
  "accounts parted",
  "invited",
  "role given",
  "role taken",
  "erased",
] as const;
export const READING_KINDS = ["file opened", "document opened", "copy downloaded", "list downloaded"] as const;

/** What the access record holds: who came in or tried to, what was looked at, and who was given which right. */
export const ACCESS_KINDS = [...SIGN_IN_KINDS, ...RIGHT_KINDS, ...READING_KINDS] as const;
export type AccessKind = (typeof ACCESS_KINDS)[number];

/** What a view shows of somebody else's data, as the access record says it. */
export interface Reading {
  readonly kind: (typeof READING_KINDS)[number];
  /** The number of the file; null for a list. */
  readonly file: string | null;
  readonly about?: string;
}

/** So long the same person reading the same thing is one line. */
export const ONE_READING_MS = 10 * 60_000;

/** So long a line is kept. The database lets none go earlier. */
export const ACCESS_KEPT_DAYS = 400;

/** What the record is looked through by. */
export const ACCESS_SUBJECTS = ["all", "signing in", "reading", "rights"] as const;
export type AccessSubject = (typeof ACCESS_SUBJECTS)[number];

const KINDS: Readonly<Record<AccessSubject, readonly AccessKind[]>> = {
  all: ACCESS_KINDS,
  "signing in": SIGN_IN_KINDS,
  reading: READING_KINDS,
  rights: RIGHT_KINDS,
};

/** The kinds of lines that belong to a subject. */
export const kindsOf = (subject: AccessSubject): readonly AccessKind[] => KINDS[subject];
