import type { Moment, Story } from "../story";
import { home, type Telling } from "./moments";

type Told = Extract<Moment, { do: "fill any" }>["told"];

/** Filled in one evening, papers over the next days, the fee, and sent. */
const sent = (day: number, told: Told = {}): readonly Moment[] => [
  { do: "fill any", day: day - 4, at: "18:40", told },
  { do: "supply any", day: day - 2, at: "20:10" },
  { do: "pay", day: day - 1, at: "12:30" },
  { do: "submit", day, at: "10:20" },
];

/** Files of the other programmes: each form is filled as its rulebook asks. */
export const elsewhere = ({ who }: Telling): readonly Story[] => [
  {
    key: "foundation-late",
    tells: "Foundation year, overseas, seventeen: a guardian consents, and the office is late.",
    profile: who("Noor", "Haddadin", {
      citizenships: ["JO"],
      residence: "JO",
      country: "JO",
      town: "Aqaba",
      birthPlace: "Aqaba",
      birthDate: "2009-08-02",
    }),
    round: "FYC rolling",
    moments: sent(-9),
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "foundation-draft",
    tells: "Foundation year: began three days ago.",
    profile: who("Linus", "Ó Dubhthaigh", { ...home, birthDate: "2008-05-19" }),
    round: "FYC rolling",
    moments: [{ do: "fill any", day: -3, at: "17:05" }],
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
    moments: sent(-11),
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "harbour-draft",
    tells: "Engineering bachelor: the form is full, its papers are still to come.",
    profile: who("Piet", "van der Zee-Mertens", {
      citizenships: ["NL"],
      residence: "NL",
      country: "NL",
      town: "Vlissingen",
      birthPlace: "Vlissingen",
      birthDate: "2008-09-30",
    }),
    round: "BHT 1",
    moments: [{ do: "fill any", day: -6, at: "21:15" }],
    expects: { stage: "preparing", turn: "applicant", next: "fill" },
  },
  {
    key: "tidal-conversion",
    tells: "Energy master, one-year track, with a master already: everything was checked.",
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
    moments: [...sent(-12, { "education.level": "7" }), { do: "accept any", day: -8, at: "09:45" }],
    expects: { stage: "submitted", turn: "office", next: "confirm" },
  },
  {
    key: "tidal-ready",
    tells: "Energy master, two-year track: nothing is missing but the press.",
    profile: who("Sólveig", "Brynjarsdóttir", {
      citizenships: ["IS"],
      residence: "IS",
      country: "IS",
      town: "Höfn",
      birthPlace: "Höfn",
    }),
    round: "MTE 1",
    moments: sent(-2).slice(0, -1),
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
    key: "doctoral-sent",
    tells: "Doctoral: topics in order of preference, sent, waits for its check.",
    profile: who("Yuki", "Tanemura", {
      citizenships: ["JP"],
      residence: "JP",
      country: "JP",
      town: "Hakodate",
      birthPlace: "Hakodate",
      birthDate: "1999-01-15",
    }),
    round: "PCS 1",
    moments: sent(-3, { "education.level": "7" }),
    expects: { stage: "submitted", turn: "office", next: "check" },
  },
  {
    key: "boats-checked",
    tells: "Boat conservation, taken for a partner: papers accepted, values to confirm.",
    profile: who("Róisín", "Mac Giolla Bhríde", { ...home, birthDate: "1994-11-03" }),
    round: "GBC 1",
    moments: [...sent(-40), { do: "accept any", day: -33, at: "11:05" }],
    expects: { stage: "complete", turn: "office", next: "confirm" },
  },
];
