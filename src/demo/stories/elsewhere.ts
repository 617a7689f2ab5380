import type { Story } from "../story";
import { home, type Telling } from "./moments";
import { DOCTORAL, EXAMINATIONS, LEFT_EARLY, LENT_PLAN, MASTER_AND_PRACTICE, STILL_EMPLOYED, sent } from "./told";

/** Files of the other programmes, and of several: each form is filled as its rulebook asks. */
export const elsewhere = ({ who, day }: Telling): readonly Story[] => [
  {
    key: "foundation-late",
    tells: "Foundation year, overseas, seventeen: a guardian consents, and the office is late.",
    profile: who("Noor", "Haddadin", {
      citizenships: ["JO"],
      residence: "JO",
      country: "JO",
      town: "Aqaba",
      birthPlace: "Aqaba",
      birthDate: "2009-11-02",
    }),
    round: "FYC rolling",
    moments: sent(-9),
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "foundation-draft",
    tells:
      "Foundation year: began three days ago, with a birth certificate, which counts here; a guardian has to sign.",
    profile: who("Linus", "Ó Dubhthaigh", { ...home, birthDate: "2010-05-19" }),
    round: "FYC rolling",
    moments: [
      {
        do: "fill any",
        day: -3,
        at: "17:05",
        told: { "citizenship.paper": "birthCertificate", "citizenship.passportNumber": "2010/0519" },
      },
    ],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
  {
    key: "restoration-closed",
    tells: "Bachelor, first round, which has closed: sent on its last day.",
    profile: who("Awa", "N’Diaye-Sarr", {
      citizenships: ["SN"],
      residence: "SN",
      country: "SN",
      town: "Dakar",
      birthPlace: "Dakar",
      birthDate: "2007-02-11",
      locale: "fr",
    }),
    round: "BMR 1",
    moments: sent(-11).map((m) => (m.do === "fill any" ? { ...m, entries: EXAMINATIONS } : m)),
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "harbour-draft",
    tells:
      "Engineering bachelor: the form is full, its papers are still to come; the numeracy test is four points short in geometry.",
    profile: who("Piet", "van der Zee-Mertens", {
      citizenships: ["NL"],
      residence: "NL",
      country: "NL",
      town: "Vlissingen",
      birthPlace: "Vlissingen",
      birthDate: "2008-09-30",
    }),
    round: "BHT 1",
    moments: [
      {
        do: "fill any",
        day: -6,
        at: "21:15",
        entries: { tests: [{ test: "tng", status: "result", date: day(-95), scores: { N: "66", G: "41" } }] },
      },
    ],
    expects: { stage: "preparing", turn: "applicant", next: "fill", findings: { numeracy: "not met" } },
  },
  {
    key: "harbour-service",
    tells:
      "Engineering bachelor, sent: will serve a year before the start, which stays out of the appraisal; an officer asks what that does to a place that is kept.",
    profile: who("Anselm", "Weidacher", {
      citizenships: ["AT"],
      residence: "AT",
      country: "AT",
      town: "Bregenz",
      birthPlace: "Bregenz",
      birthDate: "2008-03-04",
    }),
    round: "BHT 1",
    moments: [
      ...sent(
        -5,
        { "interests.service": true },
        { tests: [{ test: "tng", status: "result", date: day(-80), scores: { N: "66", G: "58" } }] },
      ),
      {
        do: "task",
        day: -3,
        at: "15:10",
        section: "interests",
        title: "Ask the recruiting office whether the service ends before September",
        days: 9,
      },
    ],
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "tidal-conversion",
    tells: "Energy master, one-year track, with two degrees, each with courses of its own: everything was checked.",
    profile: who("Ifeanyi", "Okwuosa", {
      citizenships: ["NG"],
      residence: "NG",
      country: "NG",
      town: "Port Harcourt",
      birthPlace: "Enugu",
      birthDate: "1996-07-21",
    }),
    round: "MTE 1",
    track: "one-year",
    moments: [
      ...sent(-12, { "education.start": "2016-09-01", "education.end": "2020-07-15" }).map((m) =>
        m.do === "fill any" ? { ...m, entries: MASTER_AND_PRACTICE } : m,
      ),
      { do: "accept any", day: -8, at: "09:45" },
    ],
    expects: { stage: "submitted", turn: "office", next: "confirm" },
  },
  {
    key: "tidal-graduate",
    tells:
      "Energy master: named a listed institution as that of the last degree; the certificate is of another, so the group moved, and 20 euros more are due.",
    profile: who("Chidera", "Nwakaego", {
      citizenships: ["NG"],
      residence: "NG",
      country: "NG",
      town: "Calabar",
      birthPlace: "Calabar",
    }),
    round: "MTE 1",
    track: "two-year",
    moments: [
      ...sent(-10, {
        "graduate.of": "halden",
        "education.institution": "Delta State Coastal Academy",
        "education.country": "NG",
      }),
      { do: "accept any", day: -6, at: "10:30" },
      { do: "establish", day: -6, at: "10:40", values: { "graduate.of": "none" } },
    ],
    expects: { stage: "submitted", turn: "office", next: "confirm" },
  },
  {
    key: "tidal-ready",
    tells: "Energy master, two-year track: nothing is missing but the press; a study was left before.",
    profile: who("Sólveig", "Brynjarsdóttir", {
      citizenships: ["IS"],
      residence: "IS",
      country: "IS",
      town: "Höfn",
      birthPlace: "Höfn",
    }),
    round: "MTE 1",
    moments: sent(-2)
      .slice(0, -1)
      .map((m) => (m.do === "fill any" ? { ...m, entries: LEFT_EARLY } : m)),
    expects: { stage: "preparing", turn: "applicant", next: "submit" },
  },
  {
    key: "heritage-early",
    tells: "Heritage master: prepares before the round opens.",
    profile: who("Mateus", "Quintela Faria", {
      citizenships: ["BR"],
      residence: "BR",
      country: "BR",
      town: "Paraty",
      birthPlace: "Paraty",
    }),
    round: "MMH 1",
    moments: [{ do: "fill any", day: -4, at: "16:50" }],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
  {
    key: "doctoral-ruled",
    tells:
      "Doctoral: a master that stands in no list was ruled to be enough; a supervisor is looked for, and three references are still to come.",
    profile: who("Hendrika", "Ravales Koorndijk", {
      citizenships: ["SR"],
      residence: "SR",
      country: "SR",
      town: "Nickerie",
      birthPlace: "Nickerie",
    }),
    round: "PCS 1",
    moments: [
      ...sent(-14, DOCTORAL),
      { do: "accept any", day: -11, at: "10:20" },
      {
        do: "rule",
        day: -11,
        at: "10:45",
        question: "doctoral entry",
        section: "education",
        verdict: "accepted",
        reason:
          "Two years with a thesis of 30 credits; its examination regulations give access to doctoral study at home.",
        equalTo: "a research master, ISCED 7, 2.0 on our scale",
        limits: "for topics of sediment and salt; statistics are made up in the first year",
      },
      { do: "confirm", day: -11, at: "11:05" },
    ],
    expects: {
      stage: "submitted",
      turn: "office",
      next: "do",
      requirement: "supervisor",
      findings: { masterAccepted: "met", supervised: "open" },
    },
  },
  {
    key: "exemption-claimed",
    tells: "Claims an exemption from the proof of English: an officer has to rule on it.",
    profile: who("Naledi", "Mokgatlhe-Reeve", {
      citizenships: ["BW"],
      residence: "BW",
      country: "BW",
      town: "Francistown",
      birthPlace: "Serowe",
    }),
    moments: [
      ...sent(-7, {
        "english.way": "exempt",
        "english.ground": "schooling",
        "english.country": "BW",
        "english.place": "Serowe Senior Secondary School",
        "english.words": "All my teachers taught in English from the first year on; the letter says so.",
      }),
      { do: "accept any", day: -4, at: "09:50" },
      { do: "confirm", day: -4, at: "10:10" },
    ],
    expects: { stage: "submitted", turn: "office", next: "rule", findings: { english: "open" } },
  },
  {
    key: "doctoral-sent",
    tells:
      "Doctoral: topics in order of preference, sent, waits for its check; two passages of the plan are somebody else’s; asks for funding, which finance reads. A gap was explained, and an officer made work of it.",
    profile: who("Yuki", "Tanemura", {
      citizenships: ["JP"],
      residence: "JP",
      country: "JP",
      town: "Hakodate",
      birthPlace: "Hakodate",
      birthDate: "1999-01-15",
    }),
    round: "PCS 1",
    moments: [
      ...sent(
        -3,
        {
          ...DOCTORAL,
          "remarks.any": true,
          "remarks.text": "The harbour office of Hakodate lost the records of 2023; the letter says so.",
          "remarks.paper": true,
          "topics.order": ["salt", "sediment"],
          "topics.plan": LENT_PLAN,
          "funding.wanted": true,
          "funding.own": "4200",
          "funding.people": "3",
          "family.children": "1",
        },
        { awards: [{ title: "Prize for the best thesis", giver: "Hakodate Society of the Sea", year: "2025" }] },
      ),
      {
        do: "task",
        day: -1,
        at: "11:20",
        section: "remarks",
        title: "Ask the harbour office of Hakodate whether its records of 2023 are lost",
        days: 6,
      },
    ],
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "boats-checked",
    tells:
      "Boat conservation, taken for a partner: papers accepted, values to confirm; the practice goes on, so its months run from today's to those at the start. Told advisers something in confidence, and was granted an adjustment.",
    profile: who("Róisín", "Mac Giolla Bhríde", { ...home, birthDate: "1994-11-03" }),
    round: "GBC 1",
    moments: [
      ...sent(
        -40,
        { "special.text": "I look after my brother, who cannot be left alone in the evening." },
        STILL_EMPLOYED,
      ),
      {
        do: "adjust",
        day: -36,
        at: "09:30",
        what: "Talks by telephone, and before six in the evening",
        why: "Cares for a brother; said so in the form.",
      },
      { do: "accept any", day: -33, at: "11:05" },
    ],
    expects: { stage: "complete", turn: "office", next: "confirm" },
  },
  {
    key: "two-programmes",
    tells: "One application for two masters, in order of preference, both sent.",
    profile: who("Anneliese", "Vögtlin-Haas", {
      citizenships: ["CH"],
      residence: "CH",
      country: "CH",
      town: "Rorschach",
      birthPlace: "Rorschach",
    }),
    moments: [
      { do: "add choice", day: -8, round: "MTE 1" },
      {
        do: "fill any",
        day: -8,
        at: "19:00",
        told: { "person.calledName": "Anne", "person.formerNames": "Anneliese Haas" },
      },
      { do: "supply any", day: -6, at: "20:20" },
      { do: "pay", day: -5, at: "12:15" },
      { do: "submit", day: -4, at: "09:35" },
    ],
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "second-unsent",
    tells:
      "One master is sent and with the office; the second was added since and is not sent yet, so its applicant owes it, too.",
    profile: who("Pilar", "Etxeberria Lasa", {
      citizenships: ["ES"],
      residence: "ES",
      country: "ES",
      town: "Zumaia",
      birthPlace: "Zumaia",
    }),
    moments: [...sent(-5), { do: "add choice", day: -2, at: "21:10", round: "MTE 1" }],
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "corrected",
    tells: "The office opened a section for correction; the applicant has sent it, and it is to be read.",
    profile: who("Tuuli", "Lehmusvirta", {
      citizenships: ["FI"],
      residence: "FI",
      country: "FI",
      town: "Hanko",
      birthPlace: "Hangö",
    }),
    moments: [
      ...sent(-12),
      { do: "accept any", day: -9, at: "10:10" },
      {
        do: "reopen",
        day: -7,
        at: "11:40",
        sections: ["person"],
        text: "Your passport gives another place of birth. Please write it as it stands there.",
        days: 14,
      },
      { do: "confirm", day: -7, at: "11:45" },
      { do: "correct", day: -2, at: "18:25", changes: { "person.birthPlace": "Hanko" } },
    ],
    expects: { stage: "submitted", turn: "office", next: "read changes" },
  },
];
