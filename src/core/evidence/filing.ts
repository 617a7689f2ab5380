import { type RequirementPlace, requirementKey } from "../file/place";

/** A run of pages of one document, counted from 1, and the requirement to which they belong. */
export interface FiledPart extends RequirementPlace {
  readonly firstPage: number;
  readonly lastPage: number;
}

/**
 * Cuts the pages of a document into parts.
 * @param cuts the pages with which a new part begins, beside the first
 * @param placeOf where the part belongs that begins with a page
 */
export function cutAt(
  first: number,
  last: number,
  cuts: readonly number[],
  placeOf: (firstPage: number) => RequirementPlace,
): readonly FiledPart[] {
  const begins = [first, ...cuts.filter((c) => c > first && c <= last).toSorted((a, b) => a - b)];
  return begins.map((firstPage, i) => ({
    ...placeOf(firstPage),
    firstPage,
    lastPage: (begins[i + 1] ?? last + 1) - 1,
  }));
}

/** Whether parts are the pages of a document from first to last, each once and in their order. */
export function coversAll(first: number, last: number, parts: readonly FiledPart[]): boolean {
  let next = first;
  for (const { firstPage, lastPage } of parts) {
    if (firstPage !== next || lastPage < firstPage) return false;
    next = lastPage + 1;
  }
  return next === last + 1;
}

/** Whether filing so would change anything: more than one part, or another place. */
export const changesFiling = (at: RequirementPlace, parts: readonly FiledPart[]): boolean =>
  parts.length !== 1 || parts.some((p) => requirementKey(p) !== requirementKey(at));
