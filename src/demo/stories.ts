import type { PlainDate } from "../core/ids";
import { addDays } from "../core/time/zone";
import { courses, someone } from "./people";
import type { Profile } from "./profile";
import type { Moment, Story } from "./story";

/**
 * The demo's files, each with what an officer must find on the anchor day. Dates are counted from the anchor, so that the
 * demo is as fresh on any day; a test holds every expectation.
 */
const ALL = ["passport", "certificate", "transcript", "motivation", "english"] as const;

/** Filled, supplied, referee asked and, where one is due, the fee paid, over the days before the submission. */
function prepared(submitDay: number, pays: boolean): readonly Moment[] {
  return [
    { do: "fill", day: submitDay - 5, at: "19:20" },
    { do: "supply", day: submitDay - 3, at: "20:05" },
    { do: "ask referee", day: submitDay - 3, at: "20:15" },
    ...(pays ? [{ do: "pay", day: submitDay - 1, at: "12:10" } as const] : []),
  ];
}

function submitted(day: number, pays = true): readonly Moment[] {
  return [...prepared(day, pays), { do: "submit", day, at: "11:40" }];
}

/** Everything checked and confirmed, the reference there: complete and ready to be decided. */
function worked(day: number, pays = true, changed: Readonly<Record<string, string>> = {}): readonly Moment[] {
  return [
    ...submitted(day, pays),
    { do: "take", day: day + 1, by: "officer", at: "09:10" },
    { do: "accept", day: day + 2, which: ALL, at: "09:40" },
    { do: "confirm", day: day + 2, at: "10:05", changed },
    { do: "reference given", day: day + 4, at: "16:30" },
    { do: "accept", day: day + 5, which: ["reference"], at: "09:15" },
  ];
}

const home = { citizenships: ["IE"], country: "IE", residence: "IE", town: "Galway" } as const;

export function stories(anchor: PlainDate, start: PlainDate): readonly Story[] {
  const day = (days: number) => addDays(anchor, days);
  const het = (L: string, R: string, W: string, S: string, daysAgo = 60): Profile["english"] => ({
    way: "test",
    test: "het",
    date: day(-daysAgo),
    scores: { L, R, W, S },
  });
  const good = het("41", "43", "38", "40");
  const running = { status: "in progress", end: addDays(start, -50) } as const;
  const who = (given: string, family: string, change: Parameters<typeof someone>[2] = {}) =>
    someone(given, family, { english: good, ...change });

  return [
    {
      key: "late-check",
      tells: "Came eleven days ago and nobody has looked at it: the office is late.",
      profile: who("Ilse", "Maarteen-Quist"),
      moments: submitted(-11),
      expects: { stage: "submitted", turn: "office", next: "check", requirement: "passport", eligibility: "eligible" },
    },
    {
      key: "one-name",
      tells: "A one-name applicant: one field, no dash anywhere.",
      profile: who("", "Adaeze", {
        citizenships: ["NG"],
        residence: "IE",
        country: "IE",
        town: "Cork",
        birthPlace: "Enugu",
      }),
      moments: [...submitted(-6, false), { do: "accept", day: -3, which: ALL }],
      expects: { stage: "submitted", turn: "office", next: "confirm", requirement: "certificate" },
    },
    {
      key: "two-citizenships",
      tells: "Argentine and Spanish: the better group counts, and no fee is due.",
      profile: who("Joaquín", "Berenguer Sol", {
        citizenships: ["AR", "ES"],
        residence: "AR",
        country: "AR",
        town: "Rosario",
        birthPlace: "Rosario",
      }),
      moments: submitted(-4, false),
      expects: { stage: "submitted", turn: "office", next: "check", requirement: "passport" },
    },
    {
      key: "passport-ends",
      tells: "The passport ends two months after the start of studies; it went back.",
      profile: who("Tomasz", "Wróbelek", {
        citizenships: ["UA"],
        residence: "UA",
        country: "UA",
        town: "Lviv",
        passportExpiry: addDays(start, 61),
      }),
      moments: [
        ...submitted(-9),
        { do: "accept", day: -6, which: ["certificate", "transcript", "motivation", "english"] },
        { do: "confirm", day: -6, at: "11:00" },
        {
          do: "send back",
          day: -6,
          at: "11:10",
          which: "passport",
          reason: "expired",
          text: "Please renew it and send the new one.",
          days: 30,
        },
      ],
      expects: { stage: "submitted", turn: "applicant", next: "supply again", requirement: "passport" },
    },
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
        { do: "accept", day: -5, which: ["certificate"], proof: "original seen" },
      ],
      expects: { stage: "answered", turn: "nobody", next: null, eligibility: "eligible" },
    },
    {
      key: "waits-for-referee",
      tells: "Everything is checked; the referee has not answered.",
      profile: who("Yi-Ting", "Chen", {
        citizenships: ["TW"],
        residence: "TW",
        country: "TW",
        town: "Tainan",
        referee: { name: "Prof. Lin Mei-Hua", email: "mh.lin@tainan-coast.example" },
      }),
      moments: [...submitted(-10), { do: "accept", day: -7, which: ALL }, { do: "confirm", day: -7, at: "11:00" }],
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
      tells: "The referee declined after the submission.",
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
      ],
      expects: { stage: "submitted", turn: "applicant", next: "name referee", requirement: "reference" },
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
      key: "pages-missing",
      tells: "The second page of the transcript is missing, and the day by which we asked for it has passed.",
      profile: who("Élodie", "Marchetti", {
        citizenships: ["SN"],
        residence: "SN",
        country: "SN",
        town: "Saint-Louis",
        locale: "fr",
        degree: { language: "fr" },
      }),
      moments: [
        ...prepared(-18, true).map((m) => (m.do === "supply" ? { ...m, incomplete: true } : m)),
        { do: "submit", day: -18, at: "12:00" },
        { do: "accept", day: -15, which: ["passport", "certificate", "motivation", "english"] },
        { do: "confirm", day: -15, at: "11:00" },
        {
          do: "send back",
          day: -15,
          at: "11:20",
          which: "transcript",
          reason: "incomplete",
          text: "The second page is missing.",
          days: 11,
        },
      ],
      expects: { stage: "submitted", turn: "applicant", next: "supply again", requirement: "transcript" },
    },
    {
      key: "came-again",
      tells: "The transcript went back, came again whole, and is to be checked once more.",
      profile: who("Kwabena", "Osei-Tutu", { citizenships: ["GH"], residence: "GH", country: "GH", town: "Takoradi" }),
      moments: [
        ...submitted(-15),
        { do: "accept", day: -12, which: ["passport", "certificate", "motivation", "english"] },
        {
          do: "send back",
          day: -12,
          at: "11:20",
          which: "transcript",
          reason: "unreadable",
          text: "The scan is too dark.",
          days: 14,
        },
        { do: "supply", day: -2, which: ["transcript"], at: "18:00" },
      ],
      expects: { stage: "submitted", turn: "office", next: "confirm", requirement: "certificate" },
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
      key: "far-away",
      tells: "Writes from UTC+13: the deadline falls on another calendar day there.",
      profile: who("Sione", "Taufa", { citizenships: ["TO"], residence: "TO", country: "TO", town: "Nukuʻalofa" }),
      moments: [{ do: "fill some", day: -3, sections: 6 }],
      expects: { stage: "preparing", turn: "applicant", next: "fill" },
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
      key: "wrong-document",
      tells: "A letter was put where the proof of English belongs.",
      profile: who("Zsófia", "Halmágyi", {
        ...home,
        citizenships: ["HU"],
        residence: "HU",
        country: "HU",
        town: "Baja",
      }),
      moments: [
        ...submitted(-7, false),
        { do: "accept", day: -3, which: ["passport", "certificate", "transcript", "motivation"] },
        { do: "confirm", day: -3, at: "11:00" },
        {
          do: "send back",
          day: -3,
          at: "11:30",
          which: "english",
          reason: "wrong-document",
          text: "This is your letter; we need the test report.",
          days: 14,
        },
      ],
      expects: { stage: "submitted", turn: "applicant", next: "supply again", requirement: "english" },
    },
    {
      key: "same-person-first",
      tells: "The same person applied twice under two spellings: the first file.",
      profile: who("Katarzyna", "Zielińska", {
        ...home,
        citizenships: ["PL"],
        residence: "PL",
        country: "PL",
        town: "Ustka",
        birthDate: "2002-12-01",
        passportNumber: "EK7741902",
      }),
      moments: submitted(-5, false),
      expects: { stage: "submitted", turn: "office", next: "check", requirement: "passport" },
    },
    {
      key: "same-person-second",
      tells: "The same person under the other spelling, with another address.",
      profile: {
        ...who("Katarzyna", "Zielinska", {
          ...home,
          citizenships: ["PL"],
          residence: "PL",
          country: "PL",
          town: "Ustka",
          birthDate: "2002-12-01",
          passportNumber: "EK7741902",
        }),
        email: "kasia.z@people.example",
      },
      moments: submitted(-1, false),
      expects: { stage: "submitted", turn: "office", next: "check", requirement: "passport" },
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
}
