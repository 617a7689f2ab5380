/** Which version of an answer a submission holds, by its place `scope|section|entry|field`. */
export interface SubmittedAnswer {
  readonly place: string;
  readonly version: number;
}

export interface ChangedPlace {
  readonly place: string;
  /** Null where the earlier, or the later, submission has no such answer. */
  readonly before: number | null;
  readonly after: number | null;
}

/** What differs between two submissions of one application, in the order of the later one; what is gone comes last. */
export function changedPlaces(
  before: readonly SubmittedAnswer[],
  after: readonly SubmittedAnswer[],
): readonly ChangedPlace[] {
  const was = new Map(before.map((a) => [a.place, a.version]));
  const is = new Set(after.map((a) => a.place));
  const changed = after.flatMap(({ place, version }): readonly ChangedPlace[] => {
    const old = was.get(place) ?? null;
    return old === version ? [] : [{ place, before: old, after: version }];
  });
  const gone = before
    .filter((a) => !is.has(a.place))
    .map((a): ChangedPlace => ({ place: a.place, before: a.version, after: null }));
  return [...changed, ...gone];
}
