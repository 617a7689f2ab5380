import type { ProgrammeInput } from "../core/catalogue/programme";
import type { RulebookBody } from "../core/rulebook/rulebook";
import { schoolReportForm, taughtInEnglishForm } from "./documents";
import { bht, bmr } from "./rulebooks/from-school";
import { fyc } from "./rulebooks/fyc";
import { gbc } from "./rulebooks/gbc";
import { mes } from "./rulebooks/mes";
import { mmh } from "./rulebooks/mmh";
import { mte } from "./rulebooks/mte";
import { pcs } from "./rulebooks/pcs";

/** The programmes of the Merrow Institute with their places, rounds and rulebooks; days are counted from the anchor. */
export interface PlannedRound {
  readonly key: string;
  readonly opens: number;
  readonly closes: { readonly home: number; readonly overseas: number };
  readonly promiseDays: number;
  readonly rolling?: boolean;
  readonly closesWhenFull?: boolean;
  readonly ifPlacesLeft?: boolean;
  readonly prepareBefore?: boolean;
}

export interface PlannedProgramme {
  readonly procedure: "preparatory" | "taught" | "doctoral";
  readonly programme: ProgrammeInput;
  readonly places: number;
  readonly quotas?: readonly { readonly campus: string; readonly places: number }[];
  readonly rounds: readonly PlannedRound[];
  readonly rulebook: RulebookBody;
  /** Forms to download, by the requirement that they belong to. */
  readonly forms?: readonly {
    readonly requirement: string;
    readonly name: string;
    readonly make: () => Promise<Buffer>;
  }[];
}

const ADMISSIONS = { name: "Admissions office", email: "admissions@merrow.example", phone: "+353 1 555 0100" } as const;

type Standard =
  | "modes"
  | "tracks"
  | "tracksRanked"
  | "partner"
  | "sponsorsVisa"
  | "onePage"
  | "showsTimes"
  | "languages"
  | "lengthUnit"
  | "contact";
const programme = (
  input: Omit<ProgrammeInput, Standard> & Partial<Pick<ProgrammeInput, Standard>>,
): ProgrammeInput => ({
  languages: ["en"],
  lengthUnit: "months",
  modes: ["full time"],
  tracks: [],
  tracksRanked: false,
  partner: null,
  sponsorsVisa: true,
  onePage: false,
  showsTimes: false,
  contact: ADMISSIONS,
  ...input,
});

/** The school's own form behind an exemption. */
const IN_ENGLISH = { requirement: "english", name: "Taught or working in English.pdf", make: taughtInEnglishForm };

export const PROGRAMMES: readonly PlannedProgramme[] = [
  {
    procedure: "preparatory",
    programme: programme({
      code: "FYC",
      title: { en: "Coastal Studies", fr: "Études littorales" },
      award: "Foundation Year",
      level: "preparatory",
      fields: ["052"],
      length: 10,
      ects: 60,
      campuses: ["merrow"],
      description: {
        en: "A year of biology, mathematics, English and boats, for those who want to begin a bachelor here and are not quite there yet.",
        fr: "Une année de biologie, de mathématiques, d’anglais et de bateaux, pour celles et ceux qui veulent commencer ici une licence et n’y sont pas encore.",
      },
      prerequisites: {
        en: "Ten years of school, English at B1, and the marks of one full school year.",
        fr: "Dix années d’école, l’anglais au niveau B1 et les notes d’une année scolaire complète.",
      },
      keywords: ["foundation", "preparatory year", "pre-bachelor", "année préparatoire", "propédeutique"],
    }),
    places: 40,
    rounds: [
      {
        key: "rolling",
        opens: -90,
        closes: { home: 60, overseas: 60 },
        promiseDays: 10,
        rolling: true,
        closesWhenFull: true,
      },
    ],
    rulebook: fyc,
    forms: [{ requirement: "report", name: "School report form.pdf", make: schoolReportForm }, IN_ENGLISH],
  },
  {
    procedure: "taught",
    programme: programme({
      code: "BMR",
      title: { en: "Marine Restoration", fr: "Restauration marine" },
      award: "BSc",
      level: "bachelor",
      fields: ["052", "051"],
      length: 36,
      ects: 180,
      campuses: ["merrow", "vell"],
      description: {
        en: "How reefs, meadows and marshes come back, and what people can do for it. Every year with a season on the water.",
        fr: "Comment récifs, herbiers et marais reviennent, et ce que l’on peut y faire. Chaque année, une saison sur l’eau.",
      },
      prerequisites: {
        en: "Twelve years of school, two of biology, chemistry, geography and mathematics with 60 or more, English at B2.",
        fr: "Douze années d’école, deux matières parmi biologie, chimie, géographie et mathématiques avec 60 ou plus, anglais B2.",
      },
      keywords: ["ecology", "biology", "conservation", "reef", "seagrass", "écologie"],
    }),
    places: 60,
    rounds: [
      { key: "1", opens: -120, closes: { home: -10, overseas: -10 }, promiseDays: 30 },
      {
        key: "2",
        opens: 30,
        closes: { home: 75, overseas: 75 },
        promiseDays: 30,
        prepareBefore: false,
      },
    ],
    rulebook: bmr,
    forms: [IN_ENGLISH],
  },
  {
    procedure: "taught",
    programme: programme({
      code: "BHT",
      title: { en: "Harbour and Tidal Engineering", fr: "Génie portuaire et marémoteur" },
      award: "BEng",
      level: "bachelor",
      fields: ["073", "071"],
      length: 48,
      ects: 240,
      campuses: ["merrow", "vell"],
      description: {
        en: "Quays, locks, turbines and the water that pushes against them. Places are few and are given by rank.",
        fr: "Quais, écluses, turbines, et l’eau qui les pousse. Les places sont rares et attribuées par rang.",
      },
      prerequisites: {
        en: "Twelve years of school, mathematics with 65 or more, physics with 60 or more, English at B2.",
        fr: "Douze années d’école, mathématiques avec 65 ou plus, physique avec 60 ou plus, anglais B2.",
      },
      keywords: ["civil engineering", "ports", "tides", "génie civil"],
    }),
    places: 24,
    quotas: [
      { campus: "merrow", places: 18 },
      { campus: "vell", places: 6 },
    ],
    rounds: [{ key: "1", opens: -120, closes: { home: 20, overseas: 5 }, promiseDays: 30 }],
    rulebook: bht,
    forms: [IN_ENGLISH],
  },
  {
    procedure: "taught",
    programme: programme({
      code: "MES",
      title: { en: "Estuary Science", fr: "Sciences de l’estuaire" },
      award: "MSc",
      level: "master",
      fields: ["053", "052"],
      length: 24,
      ects: 120,
      campuses: ["merrow"],
      showsTimes: true,
      description: {
        en: "Tides, sediments and life where rivers meet the sea. Two years, with a field season on the Merrow flats.",
        fr: "Marées, sédiments et vie à la rencontre des fleuves et de la mer. Deux ans, avec une saison de terrain.",
      },
      prerequisites: {
        en: "A first degree of 180 ECTS with 20 in natural sciences, grade 2.5 or better on our scale, English at C1.",
        fr: "Un premier diplôme de 180 ECTS dont 20 en sciences naturelles, note de 2,5 ou mieux sur notre échelle, anglais C1.",
      },
      keywords: ["river", "sediment", "oceanography", "geology", "fleuve", "océanographie"],
    }),
    places: 25,
    rounds: [{ key: "1", opens: -60, closes: { home: 45, overseas: 24 }, promiseDays: 30 }],
    rulebook: mes,
    forms: [IN_ENGLISH],
  },
  {
    procedure: "taught",
    programme: programme({
      code: "MTE",
      title: { en: "Tidal Energy Systems", fr: "Systèmes d’énergie marémotrice" },
      award: "MSc",
      level: "master",
      fields: ["071"],
      length: 24,
      ects: 120,
      campuses: ["merrow", "vell"],
      tracksRanked: true,
      tracks: [
        {
          key: "two-year",
          title: { en: "Study track, two years", fr: "Parcours d’études, deux ans" },
        },
        {
          key: "one-year",
          title: { en: "Conversion track, one year", fr: "Parcours de conversion, un an" },
          note: { en: "for holders of an engineering master", fr: "pour les titulaires d’un master d’ingénierie" },
        },
      ],
      description: {
        en: "From the turbine blade to the grid, on a coast with seven metres of tide.",
        fr: "De la pale de turbine au réseau, sur une côte à sept mètres de marnage.",
      },
      prerequisites: {
        en: "A first degree with 60 ECTS in engineering, grade 3.0 or better on our scale, English at B2; for the one-year track an engineering master.",
        fr: "Un premier diplôme avec 60 ECTS en ingénierie, note de 3,0 ou mieux sur notre échelle, anglais B2 ; pour le parcours d’un an, un master d’ingénierie.",
      },
      keywords: ["renewable", "turbine", "electricity", "power", "énergie renouvelable"],
    }),
    places: 30,
    rounds: [
      { key: "1", opens: -100, closes: { home: 3, overseas: 3 }, promiseDays: 30 },
      { key: "2", opens: 40, closes: { home: 90, overseas: 90 }, promiseDays: 30, ifPlacesLeft: true },
    ],
    rulebook: mte,
  },
  {
    procedure: "taught",
    programme: programme({
      code: "MMH",
      title: { en: "Maritime Heritage", fr: "Patrimoine maritime" },
      award: "MA",
      level: "master",
      fields: ["022"],
      length: 24,
      ects: 90,
      languages: ["en", "fr"],
      campuses: ["merrow", "afar"],
      modes: ["full time", "part time"],
      description: {
        en: "Boats, lights and harbours as sources: how to read them, keep them and show them.",
        fr: "Bateaux, phares et ports comme sources : les lire, les conserver, les montrer.",
      },
      prerequisites: {
        en: "A first degree of 180 ECTS in any field, English at C1 or studies in French, a statement and links to own work.",
        fr: "Un premier diplôme de 180 ECTS dans tout domaine, anglais C1 ou des études en français, un texte et des liens vers vos travaux.",
      },
      keywords: ["history", "museum", "archaeology", "histoire", "musée"],
    }),
    places: 16,
    rounds: [{ key: "1", opens: 10, closes: { home: 80, overseas: 60 }, promiseDays: 25 }],
    rulebook: mmh,
  },
  {
    procedure: "doctoral",
    programme: programme({
      code: "PCS",
      title: { en: "Coastal Systems", fr: "Systèmes côtiers" },
      award: "PhD",
      level: "doctoral",
      fields: ["053", "052"],
      length: 42,
      ects: 0,
      campuses: ["merrow"],
      description: {
        en: "Research on sediment, surges, seagrass, salt and noise, in five groups that share two boats.",
        fr: "Recherche sur les sédiments, les tempêtes, les herbiers, le sel et le bruit, en cinq groupes qui partagent deux bateaux.",
      },
      prerequisites: {
        en: "A completed master, three academic references, English at B2.",
        fr: "Un master obtenu, trois recommandations académiques, anglais B2.",
      },
      keywords: ["doctorate", "research", "doctorat", "recherche"],
    }),
    places: 8,
    rounds: [{ key: "1", opens: -30, closes: { home: 7, overseas: 7 }, promiseDays: 40 }],
    rulebook: pcs,
  },
  {
    procedure: "taught",
    programme: programme({
      code: "GBC",
      title: { en: "Boat Conservation", fr: "Conservation des bateaux" },
      award: "Graduate Certificate",
      level: "certificate",
      fields: ["071"],
      length: 9,
      ects: 45,
      campuses: ["tarbrook"],
      partner: "Tarbrook Boat Yard",
      sponsorsVisa: false,
      onePage: true,
      contact: { name: "Tarbrook Boat Yard", email: "certificate@tarbrook.example", phone: null },
      description: {
        en: "Planks, rivets, varnish and records: nine months in the yard, with one boat from survey to launch.",
        fr: "Bordages, rivets, vernis et archives : neuf mois au chantier, avec un bateau de l’expertise à la mise à l’eau.",
      },
      prerequisites: {
        en: "Twelve months of practice with boats or timber.",
        fr: "Douze mois de pratique avec des bateaux ou du bois.",
      },
      keywords: ["boat building", "restoration", "wood", "craft", "construction navale", "bois"],
    }),
    places: 12,
    rounds: [{ key: "1", opens: -200, closes: { home: -30, overseas: -45 }, promiseDays: 15 }],
    rulebook: gbc,
  },
];
