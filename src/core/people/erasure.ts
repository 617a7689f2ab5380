import type { Stage } from "../file/result";

/** A file of somebody who asked to be erased, as far as it decides what may go. */
export interface KeptFile {
  readonly number: string;
  readonly stage: Stage;
  readonly wasSubmitted: boolean;
  /** When something last happened in it; epoch milliseconds. */
  readonly lastEventAt: number;
  /** Money was taken for it. */
  readonly wasPaid: boolean;
  /** What was written in it is gone already. */
  readonly isErased: boolean;
}

/** Why a file goes, or stays. */
export type ErasureReason = "draft" | "over" | "open" | "kept" | "kept for good" | "erased already";

/** What becomes of one file. The number, the choices, decisions, events and the office's books stay of every file; they name nobody. */
export interface ErasedFile {
  readonly number: string;
  readonly goes: boolean;
  readonly why: ErasureReason;
  /** Until when it stays, ISO; null where it goes, or where no day is known. */
  readonly until: string | null;
  readonly keepsPayments: boolean;
}

export interface ErasureReport {
  readonly files: readonly ErasedFile[];
  /** Name, address and account go with the last file. */
  readonly personGoes: boolean;
}

const DAY = 86_400_000;

function ofFile(file: KeptFile, keepFilesDays: number | null, now: number): ErasedFile {
  const { number, wasPaid } = file;
  const says = (why: ErasureReason, until: number | null = null): ErasedFile => ({
    number,
    goes: why === "draft" || why === "over",
    why,
    until: until === null ? null : new Date(until).toISOString(),
    keepsPayments: wasPaid,
  });
  if (file.isErased) return says("erased already");
  if (!file.wasSubmitted) return says("draft");
  if (file.stage !== "closed") return says("open");
  if (keepFilesDays === null) return says("kept for good");
  const until = file.lastEventAt + keepFilesDays * DAY;
  return until <= now ? says("over") : says("kept", until);
}

/**
 * What of a person may be erased, by the office's rules: drafts that were never submitted at once, submitted files once they are closed and
 * their days are over, and the person where nothing of theirs stays.
 * @param keepFilesDays days for which closed files are kept from when something last happened in them; null: for good
 * @param now epoch milliseconds
 */
export function erasureOf(files: readonly KeptFile[], keepFilesDays: number | null, now: number): ErasureReport {
  const judged = files.map((file) => ofFile(file, keepFilesDays, now));
  return { files: judged, personGoes: judged.every((f) => f.goes || f.why === "erased already") };
}
