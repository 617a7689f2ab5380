import type { ProgrammeInput } from "../../core/catalogue/programme";

/** A round as it is typed: times on the office's wall clock, `2027-01-09T18:00`. */
export interface RoundDraft {
  readonly key: string;
  readonly opensAt: string;
  readonly closings: readonly { readonly group: string; readonly at: string }[];
  readonly rolling: boolean;
  readonly closesWhenFull: boolean;
  readonly ifPlacesLeft: boolean;
  readonly prepareBefore: boolean;
  readonly promiseDays: number;
}

export const EMPTY_PROGRAMME: ProgrammeInput = {
  code: "",
  title: { en: "", fr: "" },
  award: "",
  level: "master",
  fields: [],
  languages: ["en"],
  length: 24,
  lengthUnit: "months",
  ects: 120,
  campuses: [],
  modes: ["full time"],
  tracks: [],
  tracksRanked: false,
  description: { en: "", fr: "" },
  prerequisites: null,
  contact: null,
  partner: null,
  keywords: [],
  sponsorsVisa: true,
  onePage: false,
  showsTimes: false,
};

const WALL = new Map<string, Intl.DateTimeFormat>();

/** The office's wall clock at an instant, as it is typed. */
export function wallTime(instant: string, zone: string): string {
  const format =
    WALL.get(zone) ??
    new Intl.DateTimeFormat("sv-SE", {
      timeZone: zone,
      year: "numeric",
      month: "2-digit",
      day: "2-digit",
      hour: "2-digit",
      minute: "2-digit",
    });
  WALL.set(zone, format);
  return format.format(new Date(instant)).replace(" ", "T");
}
