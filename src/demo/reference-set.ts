import { NO_LISTED } from "../core/rulebook/section";
import type { ReferenceSet } from "../core/standards/reference-set";

/** The countries of the European Economic Area and Switzerland. */
const HOME_COUNTRIES =
  "AT BE BG CH CY CZ DE DK EE ES FI FR GR HR HU IE IS IT LI LT LU LV MT NL NO PL PT RO SE SI SK".split(" ");

/** 24 December to 2 January, Easter Monday and the first and last Mondays, by year. */
const MOVING: Readonly<Record<number, readonly string[]>> = {
  2024: ["04-01", "05-06", "06-03", "08-05", "10-28"],
  2025: ["04-21", "05-05", "06-02", "08-04", "10-27"],
  2026: ["04-06", "05-04", "06-01", "08-03", "10-26"],
  2027: ["03-29", "05-03", "06-07", "08-02", "10-25"],
  2028: ["04-17", "05-01", "06-05", "08-07", "10-30"],
  2029: ["04-02", "05-07", "06-04", "08-06", "10-29"],
  2030: ["04-22", "05-06", "06-03", "08-05", "10-28"],
};
const FIXED = ["01-01", "01-02", "03-17", "12-24", "12-25", "12-26", "12-27", "12-28", "12-29", "12-30", "12-31"];

const level = (level: "B1" | "B2" | "C1" | "C2", total: number | null, every: number) => ({ level, total, every });
const part = (key: string, en: string, fr: string, min: number, max: number) => ({
  key,
  title: { en, fr },
  min,
  max,
  step: 1,
});

/** The office's reference set of the Merrow Institute, version 1. */
export const referenceSet: ReferenceSet = {
  name: { en: "Merrow Institute of Coast and Water", fr: "Institut Merrow du littoral et de l’eau" },
  zone: "Europe/Dublin",
  currency: "EUR",
  calendar: {
    weekend: [6, 7],
    holidays: Object.fromEntries(
      Object.entries(MOVING).map(([year, days]) => [year, [...FIXED, ...days].map((d) => `${year}-${d}`)]),
    ),
  },
  papers: [
    {
      key: "passport",
      title: { en: "passport", fr: "passeport" },
      countries: [],
      numbers: ["XXXXXX", "XXXXXXX", "XXXXXXXX", "XXXXXXXXX"],
    },
    {
      key: "identityCard",
      title: { en: "identity card", fr: "carte d’identité" },
      countries: HOME_COUNTRIES,
      numbers: ["XXXXXXXX", "XXXXXXXXX", "XXXXXXXXX-XX", "000-0000000-00", "000000000000"],
    },
    {
      key: "travelDocument",
      title: { en: "travel document for refugees", fr: "titre de voyage pour réfugiés" },
      countries: [],
      numbers: ["XXXXXXXX", "XXXXXXXXX"],
    },
    {
      key: "birthCertificate",
      title: { en: "birth certificate with a photograph", fr: "acte de naissance avec photographie" },
      countries: [],
      numbers: ["000000", "0000/0000", "00-000000"],
    },
  ],
  groups: [
    {
      key: "home",
      title: { en: "home group", fr: "groupe intérieur" },
      visaFree: true,
      when: {
        op: "any",
        of: [
          { op: "fact", fact: "citizenship.citizenships", is: "includesOneOf", value: HOME_COUNTRIES },
          {
            op: "all",
            of: [
              { op: "fact", fact: "citizenship.residence", is: "oneOf", value: HOME_COUNTRIES },
              // Whoever has no right to live there is no resident yet; the permit shows it.
              { op: "not", of: { op: "fact", fact: "citizenship.stay", is: "equals", value: "other" } },
            ],
          },
        ],
      },
    },
    {
      key: "alliance",
      title: { en: "alliance group", fr: "groupe de l’alliance" },
      when: {
        op: "all",
        of: [
          { op: "fact", fact: "answers.graduate.of", is: "known" },
          { op: "fact", fact: "answers.graduate.of", is: "differs", value: NO_LISTED },
        ],
      },
    },
    { key: "overseas", title: { en: "overseas group", fr: "groupe international" }, when: { op: "all", of: [] } },
  ],
  scales: [
    { key: "to20", title: { en: "20 to 0, pass 10", fr: "20 à 0, réussite à 10" }, best: "20", pass: "10", worst: "0" },
    {
      key: "down6",
      title: { en: "1 (best) to 6, pass 4", fr: "1 (meilleure) à 6, réussite à 4" },
      best: "1",
      pass: "4",
      worst: "6",
    },
    {
      key: "letters4",
      title: { en: "letters, A (4.0) to F (0), pass D", fr: "lettres, A (4,0) à F (0), réussite à D" },
      best: "4.0",
      pass: "1.0",
      worst: "0",
      letters: ["A 4.0", "A- 3.7", "B+ 3.3", "B 3.0", "B- 2.7", "C+ 2.3", "C 2.0", "C- 1.7", "D 1.0", "F 0"].map(
        (row) => {
          const [label = "", points = ""] = row.split(" ");
          return { label, points };
        },
      ),
    },
    {
      key: "percent40",
      title: { en: "percentage, pass 40", fr: "pourcentage, réussite à 40" },
      best: "100",
      pass: "40",
      worst: "0",
    },
    {
      key: "to10",
      title: { en: "10 to 0, pass 5", fr: "10 à 0, réussite à 5" },
      best: "10",
      pass: "5",
      worst: "0",
      percent: { multiplier: "9.5", offset: "0", source: "Ringholm study rules, page 14" },
    },
  ],
  tests: [
    {
      key: "het",
      title: { en: "HET, Harbour English Test", fr: "HET, Harbour English Test" },
      language: "en",
      parts: [
        part("L", "Listening", "Écoute", 0, 50),
        part("R", "Reading", "Lecture", 0, 50),
        part("W", "Writing", "Écriture", 0, 50),
        part("S", "Speaking", "Oral", 0, 50),
      ],
      total: { method: "mean", round: "whole" },
      validMonths: 18,
      levels: [level("B1", 20, 17), level("B2", 29, 26), level("C1", 38, 34), level("C2", 45, 42)],
    },
    {
      key: "kle",
      title: { en: "KLE, Keel Language Examination", fr: "KLE, Keel Language Examination" },
      language: "en",
      parts: [
        part("L", "Listening", "Écoute", 1, 6),
        part("R", "Reading", "Lecture", 1, 6),
        part("W", "Writing", "Écriture", 1, 6),
        part("S", "Speaking", "Oral", 1, 6),
        part("M", "Mediation", "Médiation", 1, 6),
      ],
      total: null,
      validMonths: 36,
      levels: [level("B1", null, 2), level("B2", null, 3), level("C1", null, 4), level("C2", null, 6)],
    },
    {
      key: "tng",
      title: { en: "Tiller Numeracy Gauge", fr: "Tiller Numeracy Gauge" },
      language: null,
      parts: [part("N", "Numbers", "Nombres", 0, 80), part("G", "Geometry", "Géométrie", 0, 80)],
      total: { method: "sum", round: "none" },
      validMonths: 24,
      levels: [],
    },
  ],
  entitlements: [
    {
      key: "masters",
      title: { en: "Masters that open doctoral study", fr: "Masters ouvrant au doctorat" },
      entries: [
        { country: "IE", level: "7" },
        { country: "FR", title: "master", level: "7" },
        { country: "NL", title: "MSc", level: "7" },
        { country: "FI", title: "MSc", level: "7" },
        { country: "DE", title: "MSc", level: "7" },
        { country: "DE", title: "diplom", institution: "Universität Ahlersiel", level: "7" },
        { country: "PT", title: "mestrado", level: "7" },
        { country: "CH", title: "MSc", level: "7" },
      ],
    },
    {
      key: "leaving",
      title: { en: "Leaving certificates that open studies", fr: "Diplômes de fin d’études ouvrant aux études" },
      entries: [
        { country: "FR", title: "baccalauréat" },
        { country: "NL", title: "VWO" },
        { country: "DE", title: "Abitur" },
        { country: "FI", title: "ylioppilastutkinto" },
        { country: "PT", title: "ensino secundário" },
        { country: "CH", title: "Matura" },
      ],
    },
  ],
  areas: [
    { key: "natural", title: { en: "Natural sciences", fr: "Sciences naturelles" } },
    { key: "mathematics", title: { en: "Mathematics and statistics", fr: "Mathématiques et statistique" } },
    { key: "engineering", title: { en: "Engineering", fr: "Ingénierie" } },
    { key: "social", title: { en: "Social sciences and humanities", fr: "Sciences sociales et humaines" } },
    { key: "other", title: { en: "Other", fr: "Autre" } },
  ],
  graduates: [
    {
      key: "merrow",
      title: { en: "Merrow Institute of Coast and Water", fr: "Institut Merrow du littoral et de l’eau" },
    },
    { key: "halden", title: { en: "University of Halden Sound", fr: "Université de Halden Sound" } },
    { key: "skarvoy", title: { en: "Skarvøy Maritime University", fr: "Université maritime de Skarvøy" } },
  ],
  campuses: [
    {
      key: "merrow",
      title: { en: "Port Merrow", fr: "Port Merrow" },
      note: { en: "the main campus, at the mouth of the Merrow", fr: "le campus principal, à l’embouchure du Merrow" },
      region: { en: "Merrow coast", fr: "Côte du Merrow" },
      x: 62,
      y: 58,
    },
    {
      key: "vell",
      title: { en: "Inish Vell", fr: "Inish Vell" },
      note: { en: "the island campus, by ferry from Port Merrow", fr: "le campus de l’île, en bac depuis Port Merrow" },
      region: { en: "The islands", fr: "Les îles" },
      x: 24,
      y: 34,
    },
    {
      key: "tarbrook",
      title: { en: "Tarbrook Boat Yard", fr: "Chantier naval de Tarbrook" },
      note: { en: "the partner’s workshop, up the river", fr: "l’atelier du partenaire, en amont du fleuve" },
      region: { en: "Merrow coast", fr: "Côte du Merrow" },
      x: 80,
      y: 30,
    },
    {
      key: "afar",
      title: { en: "From a distance", fr: "À distance" },
      note: {
        en: "from wherever you live, with two weeks a year in Port Merrow",
        fr: "de chez vous, avec deux semaines par an à Port Merrow",
      },
      remote: true,
      x: 50,
      y: 90,
    },
  ],
  map: {
    land: [
      "M100 0 L100 100 L58 100 C52 92 60 86 55 78 C50 71 44 70 46 62 C48 56 58 58 60 50 C62 42 52 40 54 30 C56 20 66 18 62 8 L60 0 Z",
      "M17 30 C20 24 29 24 32 30 C34 36 30 42 24 42 C17 42 14 36 17 30 Z",
      "M33 52 C35 49 39 50 39 53 C39 56 34 56 33 52 Z",
    ],
    water: ["M59 54 C66 52 70 46 76 40 C82 34 84 24 92 16 L100 10"],
  },
  graceMinutes: 10,
  keepDraftsDays: 180,
  keepFilesDays: 1825,
  asks: { remindBefore: 3, remindAfter: 2, remindTimes: 1, returnAfter: 5 },
  referees: { remindEvery: 7, remindTimes: 2, remindBefore: 3 },
  targets: { check: 5, answer: 2, ask: 10, acceptOffer: 15 },
};
