/** A field that still needs something, by place: each leads the applicant to it. */
export interface Gap {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  /** The field, or `entry` when an entry is missing or stands beyond the most, or `complete` when nobody said "that is all". */
  readonly field: string;
  readonly code: "missing" | "wrong" | "too-few" | "too-many" | "say-complete" | "twice";
}
