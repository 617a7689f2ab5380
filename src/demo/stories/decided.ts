import { courses } from "../people";
import type { Story } from "../story";
import { home, submitted, type Telling, worked } from "./moments";

/** Files that were decided, answered or withdrawn. */
export const decided = ({ running, who }: Telling): readonly Story[] => [
  {
    key: "to-release",
    tells: "An offer was prepared; a lead officer has to release it.",
    profile: who("Mariam", "Chikhladze", { citizenships: ["GE"], residence: "GE", country: "GE", town: "Batumi" }),
    moments: [
      ...worked(-16).map((m) => (m.do === "reference given" ? { ...m, letter: true } : m)),
      { do: "decide", day: -2, kind: "offer", release: false },
    ],
    expects: { stage: "complete", turn: "office", next: "release", eligibility: "eligible" },
  },
  {
    key: "offer-open",
    tells: "An offer was released and waits for the answer.",
    profile: who("Sakura", "Minamoto-Lee", { citizenships: ["JP"], residence: "JP", country: "JP", town: "Aomori" }),
    moments: [...worked(-20), { do: "decide", day: -4, kind: "offer", release: true }],
    expects: { stage: "decided", turn: "applicant", next: "answer offer", eligibility: "eligible" },
  },
  {
    key: "accepted",
    tells: "Accepted the offer; the original of the degree certificate is still to be shown.",
    profile: who("Owen", "Tarrick", home),
    moments: [
      ...worked(-26, false),
      { do: "decide", day: -12, kind: "offer", release: true },
      { do: "answer", day: -9, answer: "accepted" },
    ],
    expects: {
      stage: "answered",
      turn: "applicant",
      next: "prove",
      requirement: "certificate",
      eligibility: "eligible",
    },
  },
  {
    key: "all-done",
    tells: "Accepted, and the original was seen: nobody has to do anything.",
    profile: who("Brónach", "Ní Dhuibhir", { ...home, town: "Dingle" }),
    moments: [
      ...worked(-30, false),
      { do: "decide", day: -18, kind: "offer", release: true },
      { do: "answer", day: -16, answer: "accepted" },
      { do: "announce paper", day: -12, which: "certificate", days: 6 },
      { do: "paper came", day: -5, at: "09:40", which: "certificate", became: "goes back" },
      { do: "accept", day: -5, which: ["certificate"], proof: "original seen" },
    ],
    expects: { stage: "answered", turn: "nobody", next: null, eligibility: "eligible" },
  },
  {
    key: "overridden",
    tells: "A grade of 2.6 was counted as met by the lead officer, who says why; the offer waits for a second person.",
    profile: who("Tomás", "Arriaga-Bell", {
      citizenships: ["CL"],
      residence: "CL",
      country: "CL",
      town: "Valdivia",
      degree: { grade: "14.6" },
    }),
    moments: [
      ...worked(-17),
      {
        do: "override",
        day: -3,
        rule: "grade",
        finding: "met",
        reason: "Two years of field work at the river authority, with a published survey, outweigh a tenth of a grade.",
      },
      { do: "decide", day: -2, kind: "offer", release: false },
    ],
    expects: {
      stage: "complete",
      turn: "office",
      next: "release",
      findings: { grade: "met" },
      eligibility: "eligible",
    },
  },
  {
    key: "refused",
    tells: "The grade on our scale is 2.9: not met, cannot be mended, refused with the reason.",
    profile: who("Hana", "Dvořáková", {
      ...home,
      citizenships: ["CZ"],
      residence: "CZ",
      country: "CZ",
      town: "Třeboň",
      degree: { grade: "13.5" },
    }),
    moments: [
      ...worked(-22, false),
      {
        do: "decide",
        day: -8,
        kind: "refusal",
        reason: "The grade on our scale is 2.9; 2.5 or better is needed.",
        release: true,
      },
    ],
    expects: {
      stage: "closed",
      turn: "nobody",
      next: null,
      findings: { grade: "not met" },
      eligibility: "not eligible",
    },
  },
  {
    key: "waiting-list",
    tells: "On the waiting list: nobody has to do anything until a place is free.",
    profile: who("Matteo", "Brusaferro", {
      ...home,
      citizenships: ["IT"],
      residence: "IT",
      country: "IT",
      town: "Chioggia",
    }),
    moments: [...worked(-24, false), { do: "decide", day: -6, kind: "waiting list", release: true }],
    expects: { stage: "decided", turn: "nobody", next: null, eligibility: "eligible" },
  },
  {
    key: "withdrawn",
    tells: "Withdrew after submitting.",
    profile: who("Ingrid", "Solheim-Bakke", {
      ...home,
      citizenships: ["NO"],
      residence: "NO",
      country: "NO",
      town: "Ålesund",
    }),
    moments: [...submitted(-13, false), { do: "withdraw", day: -5 }],
    expects: { stage: "closed", turn: "nobody", next: null },
  },
  {
    key: "declined",
    tells: "Declined our offer.",
    profile: who("Tariq", "al-Masri", { citizenships: ["JO"], residence: "JO", country: "JO", town: "Aqaba" }),
    moments: [
      ...worked(-28),
      { do: "decide", day: -14, kind: "offer", release: true },
      { do: "answer", day: -10, answer: "declined" },
    ],
    expects: { stage: "closed", turn: "nobody", next: null, eligibility: "eligible" },
  },
  {
    key: "on-condition",
    tells: "The degree is still running: an offer on condition of the final diploma's courses.",
    profile: who("Deirdre", "Considine", {
      ...home,
      town: "Kilrush",
      degree: running,
      courses: courses(["16", "15", "17"], 2),
    }),
    moments: [...worked(-21, false), { do: "decide", day: -3, kind: "offer on conditions", release: true }],
    expects: {
      stage: "decided",
      turn: "applicant",
      next: "answer offer",
      findings: { credits: "not met" },
      eligibility: "eligible on conditions",
    },
  },
];
