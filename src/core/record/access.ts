/** What the access record holds: who came in or tried to, what was looked at, and who was given which right. */
export const ACCESS_KINDS = [
  "signed in",
  "sign-in failed",
  "kept out",
  "code failed",
  "recovery code used",
  "second factor set",
  "second factor removed",
  "let back in",
  "invited",
  "role given",
  "role taken",
  "erased",
  "file opened",
  "document opened",
  "copy downloaded",
  "list downloaded",
] as const;
export type AccessKind = (typeof ACCESS_KINDS)[number];

/** What a view shows of somebody else's data, as the access record says it. */
export interface Reading {
  readonly kind: Extract<AccessKind, "file opened" | "document opened" | "copy downloaded" | "list downloaded">;
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

const READING: readonly AccessKind[] = ["file opened", "document opened", "copy downloaded", "list downloaded"];
const RIGHTS: readonly AccessKind[] = ["invited", "role given", "role taken", "let back in", "erased"];

/** The kinds of lines that belong to a subject. */
export const kindsOf = (subject: AccessSubject): readonly AccessKind[] =>
  ACCESS_KINDS.filter((kind) => {
    const own = READING.includes(kind) ? "reading" : RIGHTS.includes(kind) ? "rights" : "signing in";
    return subject === "all" || subject === own;
  });
