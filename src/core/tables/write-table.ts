import Papa from "papaparse";

/**
 * Cells that a spreadsheet would run as a formula: those that begin with `=`, `@`, a tab or a return, and those with a sign in front
 * that are no number and no telephone number; signs of full width count alike. What looks guarded already is guarded once more, so that it
 * can be read again.
 */
const RUNS = /^(?:[=@＝＠\t\r]|[+\-＋－](?![\d\s.,]*$)|'+[=@＝＠\t\r+\-＋－])/u;
const GUARD = "'";
const GUARDED = /^'(?='*[=@＝＠\t\r+\-＋－])/u;

/** Where semicolons part cells, what stands behind one would begin a cell of its own. */
const parts = (cell: unknown): boolean => String(cell).includes(";");

/** A table as CSV (RFC 4180). What people typed is never run by the spreadsheet that opens it: such a cell gets an apostrophe in front. */
export function writeTable(heads: readonly string[], rows: readonly (readonly string[])[]): string {
  return Papa.unparse(
    { fields: [...heads], data: rows.map((row) => [...row]) },
    { escapeFormulae: RUNS, quotes: parts },
  );
}

/** A cell that `writeTable` wrote, without the apostrophe that it may have put in front. */
export const readCell = (cell: string): string => (GUARDED.test(cell) ? cell.slice(GUARD.length) : cell);
