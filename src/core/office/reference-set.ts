import { z } from "zod";
import { calendarSchema, type WorkingCalendar, workingCalendar } from "../calendar/working-days";
import { gradeScaleSchema } from "../grades/scale";
import { testDefinitionSchema } from "../language/test-definition";
import { conditionSchema } from "../rules/condition";
import { localTextSchema } from "../text/local-text";
import { type ZoneTable, zoneTable } from "../time/zone";

/**
 * The office's versioned, immutable reference set: its zone and calendar, the applicant groups in order, grade scales,
 * tests, subject areas and targets. Every assessment names the version that it used.
 */
export const referenceSetSchema = z.object({
  name: localTextSchema,
  zone: z.string(),
  currency: z.string().length(3),
  calendar: calendarSchema,
  /** Best for the applicant first; the first group whose condition is met counts. */
  groups: z.array(z.object({ key: z.string(), title: localTextSchema, when: conditionSchema })).min(1),
  scales: z.array(gradeScaleSchema),
  tests: z.array(testDefinitionSchema),
  areas: z.array(z.object({ key: z.string(), title: localTextSchema })),
  /** Working days. */
  targets: z.object({ check: z.int(), answer: z.int(), ask: z.int(), acceptOffer: z.int() }),
});
export type ReferenceSet = z.infer<typeof referenceSetSchema>;

/** What holds before an office has loaded anything: nothing is known, so nothing can be decided, but every page has something to say. */
export const NOTHING_LOADED: ReferenceSet = {
  name: { en: "The admissions office", fr: "Le bureau des admissions" },
  zone: "UTC",
  currency: "EUR",
  calendar: { weekend: [6, 7], holidays: {} },
  groups: [],
  scales: [],
  tests: [],
  areas: [],
  targets: { check: 5, answer: 5, ask: 10, acceptOffer: 15 },
};

/** A reference set made ready for many assessments. */
export interface Office {
  readonly version: number;
  readonly set: ReferenceSet;
  readonly calendar: WorkingCalendar;
  readonly zone: ZoneTable;
}

export function makeOffice(version: number, set: ReferenceSet): Office {
  return { version, set, calendar: workingCalendar(set.calendar), zone: zoneTable(set.zone) };
}
