import type { Story } from "../story";
import type { Telling } from "./moments";
import { BESIDE_SCHOOL, LAST_TERMS, MARK_SHEET, ONE_SITTING, sent, TWO_DEGREES } from "./told";

/** Files whose transcripts, mark sheets and results are of another kind than most. */
export const records = ({ who, day }: Telling): readonly Story[] => [
  {
    key: "transcript-short",
    tells:
      "Energy master: the transcript has 55 credits of one term and a half, so the form asked what it covers, and for the record of the time before.",
    profile: who("Ingrid", "Solbakken-Oye", {
      citizenships: ["NO"],
      residence: "NO",
      country: "NO",
      town: "Ålesund",
      birthPlace: "Ålesund",
      courses: LAST_TERMS,
    }),
    round: "MTE 1",
    track: "two-year",
    moments: [
      ...sent(-8, { "covers.from": day(-330), "covers.to": day(-120) }),
      { do: "accept any", day: -3, at: "14:20" },
    ],
    expects: { stage: "submitted", turn: "office", next: "confirm" },
  },
  {
    key: "mark-sheet",
    tells:
      "Heritage master, prepared before the round opens: marks of 100 on a mark sheet; the percentage is worked out from them.",
    profile: who("Shirin", "Baltagul", {
      citizenships: ["PK"],
      residence: "PK",
      country: "PK",
      town: "Karachi",
      birthPlace: "Karachi",
      degree: {
        language: "en",
        scale: "percent40",
        grade: "",
        institution: "Makran Coastal University",
        country: "PK",
      },
      courses: [],
    }),
    round: "MMH 1",
    moments: [
      { do: "fill any", day: -7, at: "15:25", told: { "marking.by": "marks" }, entries: MARK_SHEET },
      { do: "supply any", day: -5, at: "15:40" },
    ],
    expects: { stage: "preparing", turn: "applicant", next: "fill", findings: { grade: "met" } },
  },
  {
    key: "two-degrees",
    tells:
      "Heritage master, prepared before the round opens: two degrees on two scales, each carried over on its own, and their mean counts.",
    profile: who("Fintan", "Weatherby-Nash", {
      citizenships: ["IE"],
      residence: "IE",
      country: "IE",
      town: "Cobh",
      birthPlace: "Cobh",
    }),
    round: "MMH 1",
    moments: [
      { do: "fill any", day: -3, at: "10:05", entries: TWO_DEGREES },
      { do: "supply any", day: -1, at: "19:30" },
      {
        do: "write us",
        day: -1,
        at: "19:45",
        about: "education",
        text: "Do both of my degrees count, or only the better one? The second is on a scale where 1 is best.",
      },
    ],
    expects: { stage: "preparing", turn: "office", next: "answer message", findings: { grade: "met" } },
  },
  {
    key: "registry-changed",
    tells:
      "Bachelor: the registry of examinations confirmed three marks, and publishes another for chemistry since; what was confirmed stands until a person has looked.",
    profile: who("Tesfalem", "Mwangaza", {
      citizenships: ["KE"],
      residence: "KE",
      country: "KE",
      town: "Malindi",
      birthPlace: "Malindi",
      birthDate: "2008-05-17",
    }),
    round: "BMR 1",
    moments: [
      ...sent(-13, {}, ONE_SITTING),
      { do: "ask registries", day: -12, at: "10:15" },
      { do: "accept any", day: -12, at: "10:40" },
      { do: "confirm", day: -12, at: "10:50" },
      {
        do: "write us",
        day: -6,
        at: "18:20",
        about: "subjects",
        text: "I asked the Council to have my chemistry paper marked again. Will you hear of it, or shall I send you the letter?",
      },
      {
        do: "write back",
        day: -5,
        at: "09:25",
        text: "We ask the registry again each week, so a new mark reaches us by itself. You need to send nothing. Until then the mark of the first certificate stands.",
        question: "Does a mark that is changed later reach the office by itself?",
      },
      {
        do: "mail us",
        day: -5,
        at: "20:10",
        subject: "Re: a message from the office",
        text: "Thank you, I send nothing then.\n\nMy passport is a new one since last week. Here it is.",
        answers: true,
        attach: "new passport.pdf",
      },
      {
        do: "write back",
        day: -4,
        at: "09:10",
        text: "Thank you, we put it beside the old one.",
      },
      {
        do: "mail us",
        day: -1,
        at: "05:40",
        from: "mother.of.an.applicant@people.example",
        subject: "My son has applied",
        text: "Good morning,\n\nmy son has applied for a bachelor of yours and is at sea until Friday. Can you tell me whether everything is there?\n\nWith thanks",
      },
      {
        do: "registry corrects",
        day: -1,
        at: "06:10",
        candidate: "NEC-41526",
        marks: { chemistry: "68" },
      },
    ],
    expects: { stage: "submitted", turn: "office", next: "read results", requirement: "results" },
  },
  {
    key: "harbour-sport",
    tells: "Engineering bachelor, sent: rows and helps at a tide gauge, which the form asks in two places.",
    profile: who("Maren", "Tjørnhøj", {
      citizenships: ["DK"],
      residence: "DK",
      country: "DK",
      town: "Esbjerg",
      birthPlace: "Esbjerg",
      birthDate: "2008-01-22",
    }),
    round: "BHT 1",
    moments: sent(
      -4,
      { "interests.sport": ["rowing", "swimming"] },
      {
        ...BESIDE_SCHOOL,
        tests: [{ test: "tng", status: "result", date: day(-70), scores: { N: "71", G: "64" } }],
      },
    ),
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
];
