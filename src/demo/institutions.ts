import type { InstitutionInput } from "../core/standards/institution";

/** The invented institutions of the demo's register. */
const place = (
  name: string,
  country: string,
  kind: InstitutionInput["kind"],
  languages: readonly string[],
  scales: readonly string[],
  creditsPerYear: number | null,
  more: Partial<InstitutionInput> = {},
): InstitutionInput => ({
  name,
  country,
  kind,
  languages: [...languages],
  scales: [...scales],
  creditsPerYear,
  otherNames: [],
  recognition: "recognised",
  note: "",
  fingerprints: [],
  ...more,
});

export const INSTITUTIONS: readonly InstitutionInput[] = [
  place("University of Halden Sound", "SR", "university", ["nl"], ["to20"], 60, {
    otherNames: ["Universiteit van Halden Sound", "Halden Sound Polytechnic"],
    note: "A polytechnic until 2009; awards from before are held equal.",
  }),
  place("Skarvøy Maritime University", "NO", "university", ["no", "en"], ["down6"], 60, {
    otherNames: ["Skarvøy maritime universitet"],
  }),
  place("Visayan Sea College", "PH", "college", ["en"], ["letters4"], 36, {
    recognition: "in part",
    note: "Degrees of four years are held equal to ISCED 6; those of three are looked into.",
  }),
  place("Université du Golfe clair", "SN", "university", ["fr"], ["to20"], 60, { otherNames: ["UGC Dakar"] }),
  place("Harbour Street School", "IE", "school", ["en"], ["percent40"], null),
  place("Hochschule Seewinkel", "AT", "university", ["de"], [], 60, {
    otherNames: ["Seewinkel University of Applied Sciences"],
  }),
  place("Hakodate Straits University", "JP", "university", ["ja"], ["letters4"], 62, { otherNames: ["函館海峡大学"] }),
  place("Instituto do Mar de Paraty", "BR", "college", ["pt"], ["to10"], 60),
  place("Delta State Coastal Academy", "NG", "college", ["en"], ["percent40"], 30, {
    recognition: "to be looked into",
  }),
  place("Tarbrook Trades College", "IE", "college", ["en"], ["percent40"], 60),
];
