import type { Locale } from "../../core/text/local-text";
import { countryName, languageName } from "../format";

/** ISO 3166-1 alpha-2, and the codes for stateless people and refugees of ICAO Doc 9303. */
const COUNTRIES =
  "AD AE AF AG AI AL AM AO AR AS AT AU AW AX AZ BA BB BD BE BF BG BH BI BJ BL BM BN BO BQ BR BS BT BW BY BZ CA CC CD CF CG CH CI CK CL CM CN CO CR CU CV CW CX CY CZ DE DJ DK DM DO DZ EC EE EG EH ER ES ET FI FJ FK FM FO FR GA GB GD GE GF GG GH GI GL GM GN GP GQ GR GT GU GW GY HK HN HR HT HU ID IE IL IM IN IO IQ IR IS IT JE JM JO JP KE KG KH KI KM KN KP KR KW KY KZ LA LB LC LI LK LR LS LT LU LV LY MA MC MD ME MF MG MH MK ML MM MN MO MP MQ MR MS MT MU MV MW MX MY MZ NA NC NE NF NG NI NL NO NP NR NU NZ OM PA PE PF PG PH PK PL PM PN PR PS PT PW PY QA RE RO RS RU RW SA SB SC SD SE SG SH SI SJ SK SL SM SN SO SR SS ST SV SX SY SZ TC TD TG TH TJ TK TL TM TN TO TR TT TV TW TZ UA UG US UY UZ VA VC VE VG VI VN VU WF WS XK YE YT ZA ZM ZW XXA XXB XXC".split(
    " ",
  );

/** ISO 639-1: languages in which degrees are commonly taught. */
const LANGUAGES =
  "en fr de es pt it nl ga cy pl cs sk hu ro bg el hr sl sr bs mk sq et lv lt fi sv da nb is ru uk be ka hy az kk ky uz tg tk mn tr ar he fa ur hi bn pa ta te kn ml mr gu si ne my th lo km vi id ms tl zh ja ko sw am so rw mg af xh zu st".split(
    " ",
  );

/** Broad and narrow fields of ISCED-F 2013 (UNESCO Institute for Statistics), by their codes. */
const FIELDS: Readonly<Record<string, Readonly<Record<Locale, string>>>> = {
  "00": { en: "Generic programmes", fr: "Programmes généraux" },
  "01": { en: "Education", fr: "Éducation" },
  "02": { en: "Arts and humanities", fr: "Lettres et arts" },
  "021": { en: "Arts", fr: "Arts" },
  "022": { en: "Humanities", fr: "Lettres" },
  "023": { en: "Languages", fr: "Langues" },
  "03": { en: "Social sciences, journalism and information", fr: "Sciences sociales, journalisme et information" },
  "04": { en: "Business, administration and law", fr: "Commerce, administration et droit" },
  "05": {
    en: "Natural sciences, mathematics and statistics",
    fr: "Sciences naturelles, mathématiques et statistiques",
  },
  "051": { en: "Biological sciences", fr: "Sciences biologiques" },
  "052": { en: "Environment", fr: "Environnement" },
  "053": { en: "Physical sciences", fr: "Sciences physiques" },
  "054": { en: "Mathematics and statistics", fr: "Mathématiques et statistiques" },
  "06": {
    en: "Information and communication technologies",
    fr: "Technologies de l’information et de la communication",
  },
  "07": {
    en: "Engineering, manufacturing and construction",
    fr: "Ingénierie, industries de transformation et construction",
  },
  "071": { en: "Engineering and engineering trades", fr: "Ingénierie et techniques apparentées" },
  "072": { en: "Manufacturing and processing", fr: "Industries de transformation et de traitement" },
  "073": { en: "Architecture and construction", fr: "Architecture et construction" },
  "08": {
    en: "Agriculture, forestry, fisheries and veterinary",
    fr: "Agriculture, sylviculture, halieutique et sciences vétérinaires",
  },
  "083": { en: "Fisheries", fr: "Halieutique" },
  "09": { en: "Health and welfare", fr: "Santé et protection sociale" },
  "10": { en: "Services", fr: "Services" },
  "101": { en: "Personal services", fr: "Services aux particuliers" },
  "104": { en: "Transport services", fr: "Services de transport" },
};

export function fieldName(locale: Locale, code: string): string {
  return FIELDS[code]?.[locale] ?? FIELDS[code.slice(0, 2)]?.[locale] ?? code;
}

/** The narrow fields, for the office, with their codes. */
export function fieldOptions(): CodeOption[] {
  return Object.entries(FIELDS)
    .filter(([code]) => code.length > 2)
    .map(([value, title]) => ({ value, label: `${value} ${title.en}` }));
}

export interface CodeOption {
  readonly value: string;
  readonly label: string;
}

const made = new Map<string, CodeOption[]>();

function options(
  locale: Locale,
  kind: string,
  codes: readonly string[],
  name: (locale: Locale, code: string) => string,
): CodeOption[] {
  const key = `${kind}|${locale}`;
  const known =
    made.get(key) ??
    codes
      .map((value) => ({ value, label: name(locale, value) }))
      .sort((a, b) => a.label.localeCompare(b.label, locale));
  made.set(key, known);
  return known;
}

/** All countries in the reader's language and order. */
export function countryOptions(locale: Locale): CodeOption[] {
  return options(locale, "country", COUNTRIES, countryName);
}

export function languageOptions(locale: Locale): CodeOption[] {
  return options(locale, "language", LANGUAGES, languageName);
}
