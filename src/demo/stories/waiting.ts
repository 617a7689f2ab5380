import type { Story } from "../story";
import { ALL, home, numbered, prepared, submitted, type Telling } from "./moments";

/** Files that wait for somebody else: a referee, a test, a payment, the applicant. */
export const waiting = ({ day, who }: Telling): readonly Story[] => [
  {
    key: "waits-for-referee",
    tells: "Everything is checked; the referee is at sea and asks for more time.",
    profile: who("Yi-Ting", "Chen", {
      citizenships: ["TW"],
      residence: "TW",
      country: "TW",
      town: "Tainan",
      english: numbered("HET-31 9O4"),
      referee: { name: "Prof. Lin Mei-Hua", email: "mh.lin@tainan-coast.example" },
    }),
    moments: [
      ...submitted(-10),
      { do: "accept", day: -7, which: ALL },
      { do: "confirm", day: -7, at: "11:00" },
      {
        do: "reference takes longer",
        day: -2,
        at: "16:00",
        until: day(75),
        words: "I am on a research ship until February.",
      },
    ],
    expects: { stage: "submitted", turn: "third party", next: "give reference", requirement: "reference" },
  },
  {
    key: "result-pending",
    tells: "The language test was taken; its result is not out yet.",
    profile: who("Ruairí", "Mac Giolla Bhán", {
      ...home,
      degree: { language: "ga" },
      english: { way: "test", test: "kle", date: day(-12), expected: day(18) },
    }),
    moments: [
      { do: "fill", day: -10 },
      { do: "supply", day: -9, which: ["passport", "certificate", "transcript", "motivation"] },
      { do: "ask referee", day: -9, at: "11:00" },
      { do: "submit", day: -8 },
      { do: "accept", day: -5, which: ["passport", "certificate", "transcript", "motivation"] },
      { do: "confirm", day: -5, at: "11:00" },
      { do: "reference given", day: -4 },
      { do: "accept", day: -3, which: ["reference"] },
    ],
    expects: {
      stage: "submitted",
      turn: "third party",
      next: "await result",
      requirement: "english",
      findings: { english: "open" },
      eligibility: "eligible on conditions",
    },
  },
  {
    key: "mail-bounces",
    tells: "The referee's mailbox does not exist: the applicant has to name another.",
    profile: who("Yusuf", "Adan Warsame", {
      citizenships: ["SO"],
      residence: "KE",
      country: "KE",
      town: "Mombasa",
      referee: { email: "b.hassan@bounce.example", name: "Dr Bashir Hassan" },
    }),
    moments: [
      { do: "fill", day: -9 },
      { do: "supply", day: -8 },
      { do: "pay", day: -7 },
      { do: "ask referee", day: -6, at: "11:00" },
    ],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
  {
    key: "referee-declines",
    tells:
      "The referee declined after the submission. Of the two things that were asked for one is answered, in words.",
    profile: who("Lotte", "Kerremans", {
      ...home,
      citizenships: ["BE"],
      residence: "BE",
      country: "BE",
      town: "Oostende",
    }),
    moments: [
      ...submitted(-8, false),
      { do: "reference declined", day: -5 },
      { do: "accept", day: -4, which: ALL },
      { do: "confirm", day: -4, at: "11:00" },
      {
        do: "ask for",
        day: -4,
        at: "11:10",
        items: [
          { which: "reference", text: "Your referee has declined. Please name another one and send the request." },
        ],
        questions: ["Which of your modules was the course at the Oostende station: Tidal Ecology, or the field weeks?"],
        words: "All your papers are here and in order. Two things are left:",
        days: 8,
      },
      { do: "announce paper", day: -3, which: "certificate", days: 9 },
      { do: "answer question", day: -2, text: "The field weeks. Tidal Ecology was held in Ghent, in the second year." },
    ],
    expects: { stage: "submitted", turn: "office", next: "read answer" },
  },
  {
    key: "just-begun",
    tells: "Began yesterday evening.",
    profile: who("Nilufar", "Rahmonqulova", {
      citizenships: ["TJ"],
      residence: "TJ",
      country: "TJ",
      town: "Khujand",
    }),
    moments: [{ do: "fill some", day: -1, sections: 2, at: "21:30" }],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
  {
    key: "card-declined",
    tells: "All is there but the fee: the card was declined.",
    profile: who("Pedro", "Anselmo Vaz", { citizenships: ["MZ"], residence: "MZ", country: "MZ", town: "Beira" }),
    moments: [...prepared(-2, false), { do: "pay", day: -2, result: "declined" }],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
  {
    key: "ready",
    tells: "Nothing is missing; only the press is.",
    profile: who("Freya", "Lindqvist-Aho", {
      ...home,
      citizenships: ["FI"],
      residence: "FI",
      country: "FI",
      town: "Vaasa",
    }),
    moments: prepared(-1, false),
    expects: { stage: "preparing", turn: "applicant", next: "submit", eligibility: "eligible" },
  },
  {
    key: "far-away",
    tells: "Writes from UTC+13: the deadline falls on another calendar day there.",
    profile: who("Sione", "Taufa", { citizenships: ["TO"], residence: "TO", country: "TO", town: "Nukuʻalofa" }),
    moments: [{ do: "fill some", day: -3, sections: 6 }],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
];
