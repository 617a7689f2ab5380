import Papa from "papaparse";

/** A table as it was pasted or read from a file: every cell as text, blank lines left out. */
export interface TextTable {
  /** The first line, where it names the columns. */
  readonly heads: readonly string[] | null;
  readonly rows: readonly (readonly string[])[];
  readonly columns: number;
}

/** Larger than any transcript; what is beyond is said, and not read. */
export const MOST_CHARACTERS = 2_000_000;

/** A number, or a date in figures. */
const isNumber = (cell: string): boolean => /^[+\-−]?\d[\d\s.,/-]*%?$/u.test(cell);

/** A first line names its columns when none of its cells is in figures and some cell below it is. */
function namesColumns(first: readonly string[], below: readonly (readonly string[])[]): boolean {
  const named = first.filter((cell) => cell !== "");
  return named.length > 1 && !named.some(isNumber) && below.some((row) => row.some(isNumber));
}

/**
 * Reads a table as spreadsheets copy it (tabs) or as CSV (RFC 4180, with commas, semicolons or bars), quoted cells included.
 * @returns null when there is no table of at least two columns in it
 */
export function readTable(text: string): TextTable | null {
  if (text.length > MOST_CHARACTERS) return null;
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/u, ""), {
    delimitersToGuess: ["\t", ";", ",", "|"],
    skipEmptyLines: "greedy",
  });
  const lines = data.map((row) => row.map((cell) => cell.trim()));
  const columns = lines.reduce((most, row) => Math.max(most, row.length), 0);
  const [first, ...rest] = lines;
  if (!first || columns < 2) return null;
  const headed = namesColumns(first, rest);
  return { heads: headed ? first : null, rows: headed ? rest : lines, columns };
}
