import { withoutValues } from "./db/connection";

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
