import { z } from "zod";
import { MODES, type Mode } from "../file/mode";
import { type Locale, writtenTextSchema } from "../text/local-text";

/**
 * What an office offers, as data: the programme, one start of it (an intake), and one window for applying to it (a round).
 * The same schemas check the office's forms in the browser and again in the acts.
 */
export const LEVELS = ["preparatory", "certificate", "bachelor", "master", "doctoral"] as const;
export type Level = (typeof LEVELS)[number];

const code = z.string().regex(/^[A-Z][A-Z0-9]{1,9}$/u);
const key = z.string().regex(/^[a-z0-9][a-zA-Z0-9-]{0,39}$/u);
const words = z.string().trim().min(1).max(80);

const languageCode = z.string().regex(/^[a-z]{2}$/u);

/** In what a programme's length is counted: a short course lasts weeks or days. */
export const LENGTH_UNITS = ["months", "weeks", "days"] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

export const trackSchema = z.object({ key, title: writtenTextSchema, note: writtenTextSchema.optional() });
export type Track = z.infer<typeof trackSchema>;

export const programmeSchema = z.object({
  code,
  title: writtenTextSchema,
  /** The award as it stands before the title: "MSc"; "" for a course that leads to none. */
  award: z.string().trim().max(40),
  level: z.enum(LEVELS),
  /** Narrow fields of ISCED-F 2013, three digits. */
  fields: z.array(z.string().regex(/^\d{3}$/u)).max(6),
  /** ISO 639-1 codes of the languages of instruction, of which each choice is one; the first is preset. */
  languages: z.array(languageCode).min(1).max(6),
  /** How long it lasts, in units of `lengthUnit`. */
  length: z.int().min(1).max(400),
  lengthUnit: z.enum(LENGTH_UNITS),
  ects: z.int().min(0).max(600),
  /** Keys of the office's campuses; the first is preset. */
  campuses: z.array(key).min(1),
  modes: z.array(z.enum(MODES)).min(1),
  tracks: z.array(trackSchema),
  /** Applicants name further tracks that they would take, in the order in which they prefer them. */
  tracksRanked: z.boolean(),
  description: writtenTextSchema,
  /** What somebody must bring, in words; the entry rules say it exactly. */
  prerequisites: writtenTextSchema.nullable(),
  contact: z.object({ name: words, email: z.email(), phone: z.string().max(40).nullable() }).nullable(),
  /** The body that runs it and takes files on paper; null where the office runs it itself. */
  partner: words.nullable(),
  /** Other words by which people look for it: former names, short names, subjects. */
  keywords: z.array(words).max(40),
  /** Whether somebody who needs a visa can be sponsored for it. */
  sponsorsVisa: z.boolean(),
  /** Whether its form is short enough to stand on one page; a long one is led through section by section. */
  onePage: z.boolean(),
  /** Whether visitors read how long its decisions took. */
  showsTimes: z.boolean(),
});
export type ProgrammeInput = z.infer<typeof programmeSchema>;

/** What a programme is called: "MSc Estuary Science", or its title alone where it leads to no award. */
export const programmeName = ({ award, title }: Pick<ProgrammeInput, "award" | "title">, locale: Locale): string =>
  `${award} ${title[locale]}`.trim();

/** One start of a programme with its places: in all, and where it matters for a campus, a mode or a quota of its own. */
export const intakeSchema = z.object({
  startsOn: z.iso.date(),
  places: z.int().min(0).max(100_000),
  quotas: z
    .array(
      z.object({
        title: z.string().trim().max(80),
        campus: key.nullable(),
        mode: z.enum(MODES).nullable(),
        places: z.int().min(0).max(100_000),
      }),
    )
    .max(20),
  /** What this start offers; empty means all that the programme has. */
  options: z.object({
    campuses: z.array(key),
    languages: z.array(languageCode),
    modes: z.array(z.enum(MODES)),
    tracks: z.array(key),
  }),
});
export type IntakeInput = z.infer<typeof intakeSchema>;

const closing = z.object({ group: key, at: z.iso.datetime() });

export const roundSchema = z
  .object({
    key,
    opensAt: z.iso.datetime(),
    /** The exclusive instant at which the round closes, for each applicant group. */
    closings: z.array(closing).min(1),
    /** Files are worked on as they come, not after the closing. */
    rolling: z.boolean(),
    /** Closes by itself with the last place. */
    closesWhenFull: z.boolean(),
    /** At its opening it opens only if the start has places left. */
    ifPlacesLeft: z.boolean(),
    /** Drafts may be begun before it opens; only submission waits. */
    prepareBefore: z.boolean(),
    /** Working days from a complete file to its decision. */
    promiseDays: z.int().min(1).max(400),
  })
  .refine((r) => r.closings.every((c) => Date.parse(c.at) > Date.parse(r.opensAt)), {
    path: ["closings"],
    message: "closes-before-opening",
  })
  .refine((r) => new Set(r.closings.map((c) => c.group)).size === r.closings.length, {
    path: ["closings"],
    message: "group-twice",
  });

/** What there is to choose from in a programme. */
export interface OfferedByProgramme {
  readonly campuses: readonly string[];
  readonly languages: readonly string[];
  readonly modes: readonly Mode[];
  readonly tracks: readonly Track[];
}

/** What one start offers of its programme: the intake's own list where it has one. */
export function offeredOptions(
  programme: OfferedByProgramme,
  intake: Pick<IntakeInput, "options">,
): OfferedByProgramme {
  const { options } = intake;
  const within = <T>(all: readonly T[], keyOf: (item: T) => string, own: readonly string[]) =>
    own.length === 0 ? all : all.filter((item) => own.includes(keyOf(item)));
  return {
    campuses: within(programme.campuses, (c) => c, options.campuses),
    languages: within(programme.languages, (l) => l, options.languages),
    modes: within(programme.modes, (m) => m, options.modes),
    tracks: within(programme.tracks, (t) => t.key, options.tracks),
  };
}

/** What there is to pick of a choice, one of each. */
export const OPTIONS = ["track", "campus", "language", "mode"] as const;
export type Option = (typeof OPTIONS)[number];

/** A campus, a language, a mode and a track by their keys; null where nothing is picked. */
export interface Options {
  readonly campus: string | null;
  readonly language: string;
  readonly mode: Mode | null;
  readonly track: string | null;
}

/** The same as somebody asks for it: perhaps none that is offered. */
type WantedOptions = Readonly<Record<Option, string | null>>;

/** What was picked of each option, the only one or the first being preset; null where something is asked for that is not offered. */
export function pickOptions(
  programme: OfferedByProgramme,
  intake: Pick<IntakeInput, "options">,
  wanted: WantedOptions,
): Options | null {
  const offered = offeredOptions(programme, intake);
  const pick = <Key extends string>(all: readonly Key[], one: string | null): Key | null | undefined =>
    one === null ? (all[0] ?? null) : all.find((key) => key === one);
  const campus = pick(offered.campuses, wanted.campus);
  const language = pick(offered.languages, wanted.language);
  const mode = pick(offered.modes, wanted.mode);
  const track = pick(
    offered.tracks.map((t) => t.key),
    wanted.track,
  );
  // Every programme is taught in some language.
  if (campus === undefined || mode === undefined || track === undefined || !language) return null;
  return { campus, language, mode, track };
}

/** The same for a choice that comes from elsewhere: its campus, language and mode are kept where all are offered, else preset. */
export const optionsElsewhere = (
  programme: OfferedByProgramme,
  intake: Pick<IntakeInput, "options">,
  own: Pick<Options, "campus" | "language" | "mode">,
  track: string | null,
): Options | null =>
  pickOptions(programme, intake, { ...own, track }) ??
  pickOptions(programme, intake, { campus: null, language: null, mode: null, track });
