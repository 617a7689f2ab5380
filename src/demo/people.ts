import { ownWords } from "./own-words";
import type { Profile } from "./profile";

/** The demo's people, written down once; whatever a story needs differently is put on top. */
type Course = Profile["courses"][number];

const TITLES: readonly (readonly [string, string, string])[] = [
  ["Estuarine chemistry", "7.5", "natural"],
  ["Statistics for field data", "5", "mathematics"],
  ["Coastal geomorphology", "7.5", "natural"],
  ["Physics of fluids", "5", "natural"],
  ["Marine botany", "5", "natural"],
  ["Hydrology I", "7.5", "natural"],
  ["Hydrology II", "7.5", "natural"],
  ["Field course, spring", "10", "natural"],
  ["Calculus", "10", "mathematics"],
  ["Linear algebra", "7.5", "mathematics"],
  ["Sediment transport", "7.5", "engineering"],
  ["Ecology of tidal flats", "7.5", "natural"],
  ["Introduction to surveying", "5", "engineering"],
  ["Maps and remote sensing", "7.5", "engineering"],
  ["Organic chemistry", "10", "natural"],
  ["Cell biology", "7.5", "natural"],
  ["Environmental law", "5", "social"],
  ["Academic writing", "5", "social"],
  ["Oceanography", "10", "natural"],
  ["Numerical methods", "7.5", "mathematics"],
  ["Bachelor seminar", "7.5", "other"],
  ["Internship", "12.5", "other"],
  ["Bachelor thesis", "15", "natural"],
];

/** Twenty-three courses that add up to 180 credits, graded around a mark of a scale that runs to 20. */
export function courses(marks: readonly string[], running = 0): readonly Course[] {
  return TITLES.map(([title, credits, area], i) => {
    const inProgress = i >= TITLES.length - running;
    return {
      title,
      credits,
      area,
      status: inProgress ? "in progress" : "completed",
      ...(inProgress ? {} : { grade: marks[i % marks.length] ?? "" }),
    };
  });
}

const WORDS =
  "I have followed her work over two years, in the laboratory and on the flats. She measures carefully, doubts her own results first, and explains them so that others can use them. I would take her into my own group without hesitation.";

const base: Omit<Profile, "motivation"> = {
  given: "Ilse",
  family: "Maarteen-Quist",
  email: "ilse.maarteen@people.example",
  locale: "en",
  birthDate: "2003-04-11",
  birthPlace: "Halden Sound",
  town: "Paramaribo",
  country: "SR",
  citizenships: ["SR"],
  residence: "SR",
  passportNumber: "R4417720",
  passportExpiry: "2031-08-09",
  degree: {
    institution: "University of Halden Sound",
    country: "SR",
    level: "6",
    title: "BSc Coastal Science",
    status: "completed",
    start: "2022-09-01",
    end: "2025-07-15",
    language: "nl",
    creditsPerYear: "60",
    scale: "to20",
    grade: "15.5",
  },
  courses: courses(["16", "14", "15", "17", "13", "18"]),
  english: { way: "test", test: "het", date: "2026-10-03", scores: { L: "41", R: "43", W: "38", S: "40" } },
  referee: {
    name: "Dr Orla Finnegan",
    email: "o.finnegan@halden-sound.example",
    institution: "University of Halden Sound",
    words: WORDS,
  },
};

const LETTER_SENTENCES = 9;

export type ProfileChange = Omit<Partial<Profile>, "degree" | "referee"> & {
  readonly degree?: Partial<Profile["degree"]>;
  readonly referee?: Partial<Profile["referee"]>;
};

function address(given: string, family: string): string {
  const local = [given, family]
    .filter(Boolean)
    .join(".")
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .replace(/[^A-Za-z.]+/gu, "")
    .toLowerCase();
  return `${local}@people.example`;
}

/** A person of the demo: the common background with what is particular to them. */
export function someone(given: string, family: string, change: ProfileChange = {}): Profile {
  const town = change.town ?? base.town;
  return {
    ...base,
    motivation: ownWords([given, family].filter(Boolean).join(" "), town, LETTER_SENTENCES),
    given,
    family,
    email: address(given, family),
    ...change,
    degree: { ...base.degree, ...change.degree },
    referee: { ...base.referee, ...change.referee },
  };
}
