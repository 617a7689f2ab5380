import { DrizzleQueryError } from "drizzle-orm";
import pg from "pg";

/** A failure of the database as it may be logged: its SQLSTATE and constraint. */
export class DatabaseFailure extends Error {
  constructor(
    readonly code: string,
    readonly constraint: string | null,
  ) {
    super(`the database refused a statement: ${code}${constraint ? `, ${constraint}` : ""}`);
  }
}

/** The texts of the ORM and of the server carry the values of the statement, which must never reach a log. */
export function withoutValues(error: unknown): unknown {
  const inner = error instanceof DrizzleQueryError ? error.cause : error;
  if (inner instanceof pg.DatabaseError) return new DatabaseFailure(inner.code ?? "unknown", inner.constraint ?? null);
  return error instanceof DrizzleQueryError ? new DatabaseFailure("connection", null) : error;
}

/** Connection lost or refused, server going down or out of room: nothing is wrong with what was asked. */
const AWAY = /^(?:08|53|57|ECONN|EPIPE|ETIMEDOUT)|^connection$/u;

/** What the driver says of a connection that was lost while nothing was asked, or before something could be. */
const LOST = /^connection terminated|^client (?:has encountered|was closed)/iu;

/** Whether the database is away, rather than that it refused something. */
export function isOutage(error: unknown): boolean {
  const safe = withoutValues(error);
  if (!(safe instanceof Error)) return false;
  return "code" in safe ? AWAY.test(String(safe.code)) : LOST.test(safe.message);
}

/** Pages whose address is a key: whoever has it is let in. */
const KEYED = /^\/(link|reference|sign|interest)\/[^/]+/u;

/** The path of a request as a log may hold it: without its question, and without a key that stands in it. */
export const loggedPath = (path: string): string => (path.split("?")[0] ?? "").replace(KEYED, "/$1/…");

/** What a log may hold of a defect: enough to find it, and nothing that a person typed. */
export interface DefectNote {
  readonly name: string;
  readonly message: string;
  readonly code?: string;
  readonly stack: readonly string[];
  readonly cause?: DefectNote;
}

const MOST_FRAMES = 20;
const MOST_CAUSES = 3;
const LONGEST_MESSAGE = 300;

/** What is quoted in a message, addresses and long figures may be somebody's; names in single quotes are those of the code. */
const withoutPersonal = (message: string): string =>
  message
    .replace(/"[^"]*"|“[^”]*”|«[^»]*»|`[^`]*`/gu, "…")
    .replace(/\S+@\S+/gu, "…")
    .replace(/\d{5,}/gu, "…")
    .slice(0, LONGEST_MESSAGE);

/** @param error whatever was thrown; texts of the database that carry values are taken out first */
export function describeDefect(error: unknown, causes = MOST_CAUSES): DefectNote {
  const safe = withoutValues(error);
  if (!(safe instanceof Error)) return { name: typeof safe, message: "", stack: [] };
  const stack = (error instanceof Error ? (error.stack ?? "") : "").split("\n").filter((line) => /^\s+at /u.test(line));
  return {
    name: safe.name,
    message: withoutPersonal(safe.message),
    ...("code" in safe && typeof safe.code === "string" ? { code: safe.code } : {}),
    stack: stack.slice(0, MOST_FRAMES).map((line) => line.trim()),
    ...(safe.cause !== undefined && causes > 0 ? { cause: describeDefect(safe.cause, causes - 1) } : {}),
  };
}
