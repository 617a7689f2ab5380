import { addDays } from "../../core/time/zone";
import { courses } from "../people";
import type { Story } from "../story";
import { home, submitted, type Telling, worked } from "./moments";

/** Files whose grades come from other scales, or from no final grade at all. */
export const grades = ({ who, start }: Telling): readonly Story[] => [
  {
    key: "inverted-scale",
    tells: "A scale on which 1 is best: the same formula, both differences change sign.",
    profile: who("Halvor", "Stenby", {
      ...home,
      citizenships: ["NO"],
      residence: "NO",
      country: "NO",
      town: "Bodø",
      degree: { scale: "down6", grade: "2.2", country: "NO", institution: "Skarvøy Maritime University" },
      courses: courses(["2", "2.3", "1.7", "3"]),
    }),
    moments: worked(-14, false),
    expects: { stage: "complete", turn: "office", next: "decide", eligibility: "eligible" },
  },
  {
    key: "mean-of-courses",
    tells: "No final grade yet: the credit-weighted mean of the graded courses counts.",
    profile: who("Aino", "Räsänen", {
      ...home,
      citizenships: ["FI"],
      residence: "FI",
      country: "FI",
      town: "Turku",
      degree: { status: "in progress", end: addDays(start, -40), grade: "" },
      courses: courses(["17", "15", "16"], 2),
    }),
    moments: worked(-12, false),
    expects: {
      stage: "complete",
      turn: "office",
      next: "decide",
      findings: { credits: "not met", grade: "met" },
      eligibility: "eligible on conditions",
    },
  },
  {
    key: "taught-in-english",
    tells: "No test: three years of degree study in English; marks in per cent with a pass at 40.",
    profile: who("Bilal", "Chaudhry", {
      citizenships: ["PK"],
      residence: "PK",
      country: "PK",
      town: "Gwadar",
      english: { way: "taught" },
      degree: {
        language: "en",
        scale: "percent40",
        grade: "74.5",
        institution: "Makran Coastal University",
        country: "PK",
      },
      courses: courses(["71", "78", "69", "80"]),
    }),
    moments: worked(-10),
    expects: {
      stage: "complete",
      turn: "office",
      next: "decide",
      findings: { english: "met" },
      eligibility: "eligible",
    },
  },
  {
    key: "grade-differs",
    tells: "Typed 15.5, the certificate says 14.5: the confirmed value counts, and the rule is not met.",
    profile: who("Camille", "Dubreuil-Ndiaye", {
      ...home,
      citizenships: ["FR"],
      residence: "FR",
      country: "FR",
      town: "Royan",
      locale: "fr",
      degree: { language: "fr" },
    }),
    moments: worked(-9, false, { "education.grade": "14.5" }),
    expects: {
      stage: "complete",
      turn: "office",
      next: "decide",
      findings: { grade: "not met" },
      eligibility: "not eligible",
    },
  },
  {
    key: "letters",
    tells: "Letters on a four-point scale, looked up in the scale's table.",
    profile: who("Grace", "Holloway-Reyes", {
      citizenships: ["PH"],
      residence: "PH",
      country: "PH",
      town: "Iloilo",
      degree: { language: "en", scale: "letters4", grade: "B+", institution: "Visayan Sea College", country: "PH" },
      courses: courses(["B+", "A-", "B", "A"]),
    }),
    moments: submitted(-2),
    expects: {
      stage: "submitted",
      turn: "office",
      next: "check",
      requirement: "passport",
      findings: { grade: "met" },
    },
  },
];
