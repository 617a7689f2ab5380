import { ownWords } from "../own-words";
import { courses } from "../people";
import type { Moment } from "../story";

/** Two sittings; one mark of the first was typed higher than it was. */
const SITTINGS = ["0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e01", "0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e02"] as const;
export const EXAMINATIONS: Extract<Moment, { do: "fill any" }>["entries"] = {
  sittings: [
    { id: SITTINGS[0], board: "northern", year: "2025", candidate: "NEC-40817" },
    { id: SITTINGS[1], board: "strand", year: "2026", candidate: "S 2207" },
  ],
  subjects: [
    { sitting: SITTINGS[0], subject: "biology", mark: "74" },
    { sitting: SITTINGS[0], subject: "chemistry", mark: "76" },
    { sitting: SITTINGS[0], subject: "mathematics", mark: "58" },
    { sitting: SITTINGS[0], subject: "geography", mark: "63" },
    { sitting: SITTINGS[1], subject: "mathematics", mark: "67" },
  ],
};

/** A master after the first degree, and practice before and after it, with nearly two years of which nothing is said. */
const MASTER = "0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e03";
export const MASTER_AND_PRACTICE: Extract<Moment, { do: "fill any" }>["entries"] = {
  education: [
    {
      id: MASTER,
      institution: "Niger Delta Institute of Technology",
      country: "NG",
      level: "7",
      title: "MSc Offshore Structures",
      status: "completed",
      start: "2021-09-01",
      end: "2023-07-10",
      language: "en",
      creditsPerYear: "30",
      scale: "percent40",
      grade: "71",
    },
  ],
  courses: [
    { title: "Wave loads", credits: "9", area: "engineering", status: "completed", grade: "68", degree: MASTER },
    {
      title: "Turbines in tidal streams",
      credits: "9",
      area: "engineering",
      status: "completed",
      grade: "74",
      degree: MASTER,
    },
    {
      title: "Numerical modelling",
      credits: "6",
      area: "mathematics",
      status: "completed",
      grade: "70",
      degree: MASTER,
    },
    { title: "Corrosion at sea", credits: "6", area: "natural", status: "completed", grade: "66", degree: MASTER },
    { title: "Dissertation", credits: "30", area: "engineering", status: "completed", grade: "73", degree: MASTER },
  ],
  experience: [
    {
      employer: "Bonny River Works",
      role: "Trainee in the pump house",
      what: "internship",
      start: "2020-09",
      current: false,
      end: "2021-06",
    },
    {
      employer: "Delta Tidal Power",
      role: "Turbine technician",
      what: "job",
      start: "2025-05-01",
      current: true,
    },
  ],
};

/** A study that was left after two years, with credits that may count for something. */
export const LEFT_EARLY: Extract<Moment, { do: "fill any" }>["entries"] = {
  unfinished: [
    {
      institution: "University of Halden Sound",
      country: "NO",
      title: "BSc Naval Architecture",
      start: "2019-08",
      end: "2021-06",
      why: "changed",
      credits: "54",
    },
  ],
};

type Told = Extract<Moment, { do: "fill any" }>["told"];
type Entries = NonNullable<Extract<Moment, { do: "fill any" }>["entries"]>;

/** Practice that has not ended. */
export const STILL_EMPLOYED: Entries = {
  experience: [
    { employer: "Merrow Harbour Trust", role: "Boat keeper", what: "job", start: "2025-02-01", current: true },
  ],
};

export const DOCTORAL: Told = { "education.level": "7", "education.title": "MSc Coastal Dynamics" };

/** A plan of somebody's own but for what was taken from the plan of another applicant, here and there. */
export const LENT_PLAN = (() => {
  const lent = ownWords("Hendrika Ravales Koorndijk", "Nickerie", 26).split("\n");
  const own = ownWords("Yuki Tanemura", "Hakodate", 26).split("\n");
  return own.map((part, i) => (i === 1 || i === 3 ? `${part} ${lent[4 - i] ?? ""}` : part)).join("\n");
})();

/** Filled in one evening, papers over the next days, the fee, and sent. */
export const sent = (day: number, told: Told = {}, entries: Entries = {}): readonly Moment[] => [
  { do: "fill any", day: day - 4, at: "18:40", told, entries },
  { do: "supply any", day: day - 2, at: "20:10" },
  { do: "pay", day: day - 1, at: "12:30" },
  { do: "submit", day, at: "10:20" },
];

/** What stands on the record of one term and a half: 55 credits. */
export const LAST_TERMS = courses(["15", "17", "14"]).slice(0, 8);

/** A mark sheet: of 100 marks each, as its board prints them. */
export const MARK_SHEET: Entries = {
  courses: courses(["71", "64", "78", "59", "83"]).map(({ grade = "", ...course }) => ({
    ...course,
    marksObtained: grade,
    marksTotal: "100",
  })),
};

/** A second first degree, on a scale where 1 is best. */
const SECOND = "0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e05";
export const TWO_DEGREES: Entries = {
  education: [
    {
      id: SECOND,
      institution: "Skarvøy Maritime University",
      country: "NO",
      level: "6",
      title: "BA Museum Studies",
      status: "completed",
      start: "2019-09-02",
      end: "2022-06-24",
      language: "en",
      creditsPerYear: "60",
      scale: "down6",
      grade: "2.4",
    },
  ],
  courses: [
    { title: "Collections and their care", credits: "30", area: "social", grade: "2.3" },
    { title: "Boats as documents", credits: "30", area: "social", grade: "2.0" },
    { title: "Exhibitions for harbour towns", credits: "30", area: "social", grade: "2.7" },
  ].map((course) => ({ ...course, status: "completed", degree: SECOND })),
};

/** One sitting, three subjects, typed as the certificate has them. */
const SITTING = "0a1f8f4e-5f5e-4f0a-9b61-0b5a1d2c3e06";
export const ONE_SITTING: Entries = {
  sittings: [{ id: SITTING, board: "northern", year: "2026", candidate: "NEC-41526" }],
  subjects: [
    { sitting: SITTING, subject: "biology", mark: "66" },
    { sitting: SITTING, subject: "chemistry", mark: "59" },
    { sitting: SITTING, subject: "mathematics", mark: "71" },
  ],
};

/** Two things that were done beside school. */
export const BESIDE_SCHOOL: Entries = {
  beyond: [
    {
      title: "Tide gauge of the harbour",
      year: "2025",
      text: "Read it every Sunday for a year and sent the readings to the harbour office, which prints them.",
    },
    {
      title: "Rowing, second boat",
      year: "2026",
      text: "Third of the islands’ regatta, in a boat that we mended ourselves.",
    },
  ],
};
