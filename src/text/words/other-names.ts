import { fold } from "../../core/people/fold";

/** Languages in which people look for their country or language when the page's own does not come to mind. */
const TONGUES = [
  "en",
  "fr",
  "es",
  "pt",
  "de",
  "it",
  "nl",
  "pl",
  "tr",
  "sw",
  "ru",
  "uk",
  "ar",
  "fa",
  "hi",
  "zh",
  "ja",
  "ko",
];

const LISTS = { region: new Map<string, string>(), language: new Map<string, string>() };

function named(tongue: string, type: "region" | "language", code: string): string {
  try {
    return new Intl.DisplayNames([tongue], { type, fallback: "none" }).of(code) ?? "";
  } catch {
    return ""; // codes of our own, such as those for stateless people
  }
}

/** All the names of a country or a language that people may type, folded; worked out when somebody first looks for it. */
function otherNames(type: "region" | "language", code: string): string {
  const known = LISTS[type].get(code);
  if (known !== undefined) return known;
  const names = [...new Set(TONGUES.map((tongue) => fold(named(tongue, type, code))))].join("\n");
  LISTS[type].set(code, names);
  return names;
}

/**
 * Whether what was typed is part of a name of the country or language, in the page's language or in another.
 * @param label its name on the page
 */
export function isCalled(type: "region" | "language", code: string, label: string, typed: string): boolean {
  const wanted = fold(typed);
  return fold(label).includes(wanted) || otherNames(type, code).includes(wanted);
}
