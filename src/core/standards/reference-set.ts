import { z } from "zod";
import { calendarSchema, type WorkingCalendar, workingCalendar } from "../calendar/working-days";
import { gradeScaleSchema } from "../grades/scale";
import { testDefinitionSchema } from "../language/test-definition";
import { paperSchema } from "../people/papers";
import { entitlementListSchema } from "../rulebook/ruled-case";
import { conditionSchema } from "../rules/condition";
import { localTextSchema, writtenTextSchema } from "../text/local-text";
import { type ZoneTable, zoneTable } from "../time/zone";

const pathData = z
  .string()
  .max(4000)
  .regex(/^[MmLlHhVvCcSsQqTtAaZz\d\s.,-]+$/u);

/**
 * The office's versioned, immutable reference set: its zone and calendar, the applicant groups in order, grade scales,
 * tests, subject areas and targets. Every assessment names the version that it used.
 */
export const referenceSetSchema = z.object({
  name: writtenTextSchema,
  zone: z.string(),
  currency: z.string().length(3),
  calendar: calendarSchema,
  /** Best for the applicant first; the first group whose condition is met counts. */
  groups: z
    .array(
      z.object({
        key: z.string(),
        title: writtenTextSchema,
        when: conditionSchema,
        /** Its people need no visa to study here; left out, they may. */
        visaFree: z.boolean().optional(),
      }),
    )
    .min(1),
  scales: z.array(gradeScaleSchema),
  tests: z.array(testDefinitionSchema),
  areas: z.array(z.object({ key: z.string(), title: writtenTextSchema })),
  /** What is accepted without further reading, by the lists that rulebooks name. */
  entitlements: z.array(entitlementListSchema).default([]),
  /** Identity papers, of which each rulebook says which count. */
  papers: z.array(paperSchema).default([]),
  /** Institutions whose graduates the office treats apart: a group of theirs asks for them by a field of the form. */
  graduates: z.array(z.object({ key: z.string(), title: writtenTextSchema })).default([]),
  /** Where the office teaches. `x` and `y` are the place on the office's drawn map, 0 to 100 from its upper left corner. */
  campuses: z
    .array(
      z.object({
        key: z.string(),
        title: writtenTextSchema,
        note: writtenTextSchema.optional(),
        /** The part of the country that it lies in: people look for that, too. */
        region: writtenTextSchema.optional(),
        /** Nobody has to be there: it has no place on the map. */
        remote: z.boolean().optional(),
        x: z.number().min(0).max(100),
        y: z.number().min(0).max(100),
      }),
    )
    .default([]),
  /** The drawn map under the campuses: outlines as SVG path data in the same coordinates, land and the water that runs through it. */
  map: z
    .object({ land: z.array(pathData), water: z.array(pathData) })
    .nullable()
    .default(null),
  /** Minutes after a closing within which what was begun before is still taken. */
  graceMinutes: z.int().min(0).max(1440).default(0),
  /** Days after which drafts that were never submitted are erased, counted from when they last could be; null: they are kept. */
  keepDraftsDays: z.int().min(30).max(3650).nullable().default(null),
  /** Days for which submitted files that are closed are kept, from when something last happened in them, before a person can have them erased; null: for good. */
  keepFilesDays: z.int().min(30).max(36_500).nullable().default(null),
  /** What is asked for, in working days: reminders before and after its day (null: none), and from when on it is with the office again. */
  asks: z
    .object({
      remindBefore: z.int().min(0).max(60).nullable(),
      remindAfter: z.int().min(1).max(60).nullable(),
      /** So many reminders after the day, each as far from the one before it. */
      remindTimes: z.int().min(1).max(10).default(1),
      returnAfter: z.int().min(0).max(120),
    })
    .default({ remindBefore: 3, remindAfter: 2, remindTimes: 1, returnAfter: 5 }),
  /** Referees who have not answered, in calendar days: reminded so many days after the last word, so many times, and so many days before the time is over (null: not). */
  referees: z
    .object({
      remindEvery: z.int().min(1).max(60).nullable(),
      remindTimes: z.int().min(0).max(10),
      remindBefore: z.int().min(0).max(60).nullable(),
    })
    .default({ remindEvery: 7, remindTimes: 2, remindBefore: 3 }),
  /** Working days. */
  targets: z.object({ check: z.int(), answer: z.int(), ask: z.int(), acceptOffer: z.int() }),
});
export type ReferenceSet = z.infer<typeof referenceSetSchema>;

/** What a form needs of it, to offer answers and to check them: little enough to stand in the browser. */
export type Registers = Pick<ReferenceSet, "scales" | "tests" | "areas" | "papers" | "graduates">;

export const registersOf = ({ scales, tests, areas, papers, graduates }: ReferenceSet): Registers => ({
  scales,
  tests,
  areas,
  papers,
  graduates,
});

/** The same while it is being written: its texts may still be empty. */
export const referenceDraftSchema = referenceSetSchema.extend({
  name: localTextSchema,
  groups: z.array(referenceSetSchema.shape.groups.element.extend({ title: localTextSchema })),
  areas: z.array(referenceSetSchema.shape.areas.element.extend({ title: localTextSchema })),
  graduates: z.array(referenceSetSchema.shape.graduates.unwrap().element.extend({ title: localTextSchema })),
  campuses: z.array(
    referenceSetSchema.shape.campuses.unwrap().element.extend({
      title: localTextSchema,
      note: localTextSchema.optional(),
      region: localTextSchema.optional(),
    }),
  ),
});

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
  entitlements: [],
  papers: [],
  graduates: [],
  campuses: [],
  map: null,
  graceMinutes: 0,
  keepDraftsDays: null,
  keepFilesDays: null,
  asks: { remindBefore: 3, remindAfter: 2, remindTimes: 1, returnAfter: 5 },
  referees: { remindEvery: 7, remindTimes: 2, remindBefore: 3 },
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
