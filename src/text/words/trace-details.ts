import type { Detail, ProofPart } from "../../core/rules/fact";
import type { Locale } from "../../core/text/local-text";
import { countryName, formatDate } from "../format";

/** How measured values came about, as sentences with the numbers. */

type GradeDetail = Extract<Detail, { kind: "grade" }>;

const counted = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;

interface Words {
  readonly from: Readonly<Record<GradeDetail["from"], string>>;
  readonly overCourses: (credits: string, courses: number) => string;
  readonly range: (best: string, pass: string) => string;
  readonly degree: (title: string, got: string, range: string | null, exact: string) => string;
  readonly setAside: (attempts: number) => string;
  readonly areas: (areas: string) => string;
  readonly lastEcts: (ects: number) => string;
  readonly band: (from: string, grade: string) => string;
  readonly rounding: Readonly<Record<GradeDetail["rounding"], string>>;
  readonly rounded: (how: string, shown: string) => string;
  readonly comparedAs: (rounded: boolean, value: string) => string;
  readonly notPassed: (bavarian: boolean) => string;
  readonly of: string;
  readonly and: string;
  readonly bestParts: string;
  readonly total: string;
  readonly level: (level: string | null) => string;
  readonly stated: (level: string, above: number) => string;
  readonly age: (years: number, born: string, on: string) => string;
  readonly months: (months: number) => string;
  readonly span: (months: number, entries: number, until: string) => string;
  readonly ruling: (about: string, answer: "accepted" | "refused" | null, by: "list" | "ruling" | null) => string;
  readonly equalTo: (what: string) => string;
  readonly limits: (what: string) => string;
  readonly noCase: string;
  readonly reaches: string;
  readonly short: (part: string, needed: string, got: string | null) => string;
  readonly reasons: Readonly<Record<string, string>>;
}

const WORDS: Readonly<Record<Locale, Words>> = {
  en: {
    from: {
      "final grade": "Final grade",
      "mean of courses": "Mean",
      "marks of courses": "Marks of the courses",
      "mean of degrees": "Mean of the degrees",
    },
    overCourses: (credits, courses) => `over ${credits} credits in ${courses} ${courses === 1 ? "course" : "courses"}`,
    range: (best, pass) => `best ${best}, lowest pass ${pass}`,
    degree: (title, got, range, exact) => `${title}: ${got}${range ? ` (${range})` : ""} comes to ${exact}`,
    setAside: (n) => `${n} ${n === 1 ? "attempt gives" : "attempts give"} way to another of the same course`,
    areas: (areas) => `only courses in ${areas}`,
    lastEcts: (ects) => `only the latest ${ects} ECTS`,
    band: (from, grade) => `in the table: from ${from} it is ${grade}`,
    rounding: { truncate: "cut to", half_up: "rounded to", half_even: "rounded, halves to even, to" },
    rounded: (how, shown) => `${how} ${shown}`,
    comparedAs: (rounded, value) => `compared ${rounded ? "as" : "exactly, as"} ${value}`,
    notPassed: (bavarian) => (bavarian ? "beyond 4: not passed" : "short of the lowest pass: not passed"),
    of: "of",
    and: "and",
    bestParts: "the best parts of the sittings of",
    total: "total",
    level: (level) => `that is ${level ?? "below every level of the table"}`,
    stated: (level, above) =>
      `says ${level} of themselves: ${
        above === 0
          ? "as the result shows"
          : `${Math.abs(above)} ${Math.abs(above) === 1 ? "level" : "levels"} ${above > 0 ? "above" : "below"} the result`
      }${Math.abs(above) > 1 ? ", which is far apart" : ""}`,
    age: (years, born, on) => `born on ${born}: ${years} on ${on}`,
    months: (months) => `${counted(months, "month")} of degree study taught in the language`,
    span: (months, entries, until) =>
      `${counted(months, "month")} in ${entries} ${entries === 1 ? "entry" : "entries"} up to ${until}, days in several counted once`,
    ruling: (about, answer, by) =>
      answer === null
        ? `${about}: not ruled on yet`
        : by === "list"
          ? `${about}: accepted by the office’s list`
          : `${about}: ${answer} by a ruling`,
    equalTo: (what) => `held equal to ${what}`,
    limits: (what) => `within limits: ${what}`,
    noCase: "nothing here asks for a ruling",
    reaches: "reaches what is asked for",
    short: (part, needed, got) =>
      got === null ? `${part} could not be read, ${needed} is needed` : `${part} is ${got}, ${needed} is needed`,
    reasons: {
      pending_result: "a result is still to come in time",
      pending_after_cutoff: "a result that is still to come will come too late",
      expired_or_future: "a result is not valid on the day that counts",
      score_not_on_scale: "a score is not one that the test has",
    },
  },
  fr: {
    from: {
      "final grade": "Note finale",
      "mean of courses": "Moyenne",
      "marks of courses": "Points des cours",
      "mean of degrees": "Moyenne des diplômes",
    },
    overCourses: (credits, courses) => `sur ${credits} crédits en ${courses} cours`,
    range: (best, pass) => `meilleure ${best}, réussite à ${pass}`,
    degree: (title, got, range, exact) => `${title} : ${got}${range ? ` (${range})` : ""} devient ${exact}`,
    setAside: (n) => `${n} ${n === 1 ? "essai cède" : "essais cèdent"} la place à un autre du même cours`,
    areas: (areas) => `seulement les cours en ${areas}`,
    lastEcts: (ects) => `seulement les ${ects} derniers ECTS`,
    band: (from, grade) => `dans la table : à partir de ${from}, c’est ${grade}`,
    rounding: { truncate: "coupé à", half_up: "arrondi à", half_even: "arrondi (moitiés au pair) à" },
    rounded: (how, shown) => `${how} ${shown}`,
    comparedAs: (_, value) => `comparé comme ${value}`,
    notPassed: (bavarian) => (bavarian ? "au-delà de 4 : non réussi" : "sous la note de réussite : non réussi"),
    of: "du",
    and: "et",
    bestParts: "les meilleures parties des sessions du",
    total: "total",
    level: (level) => `c’est ${level ?? "en dessous de tous les niveaux de la table"}`,
    stated: (level, above) =>
      `se dit de niveau ${level} : ${
        above === 0
          ? "comme le résultat"
          : `${Math.abs(above)} ${Math.abs(above) === 1 ? "niveau" : "niveaux"} ${above > 0 ? "au-dessus" : "en dessous"} du résultat`
      }${Math.abs(above) > 1 ? ", ce qui est loin" : ""}`,
    age: (years, born, on) => `né(e) le ${born} : ${years} ans le ${on}`,
    months: (months) => `${months} mois d’études supérieures dans cette langue`,
    span: (months, entries, until) =>
      `${months} mois en ${entries} ${entries === 1 ? "période" : "périodes"} jusqu’au ${until}, les jours communs comptés une fois`,
    ruling: (about, answer, by) =>
      answer === null
        ? `${about} : pas encore examiné`
        : by === "list"
          ? `${about} : admis par la liste du bureau`
          : `${about} : ${answer === "accepted" ? "admis" : "refusé"} après examen`,
    equalTo: (what) => `tenu pour l’équivalent de ${what}`,
    limits: (what) => `dans ces limites : ${what}`,
    noCase: "rien ici ne demande d’examen",
    reaches: "atteint ce qui est demandé",
    short: (part, needed, got) =>
      got === null ? `${part} n’a pu être lu, il faut ${needed}` : `${part} est ${got}, il faut ${needed}`,
    reasons: {
      pending_result: "un résultat arrive encore à temps",
      pending_after_cutoff: "un résultat attendu arrivera trop tard",
      expired_or_future: "un résultat n’est pas valable le jour qui compte",
      score_not_on_scale: "une note n’existe pas dans ce test",
    },
  },
};

function gradeLines(detail: GradeDetail, words: Words, locale: Locale): readonly string[] {
  const over = detail.credits === null ? "" : ` ${words.overCourses(detail.credits, detail.courses)}`;
  const first = [
    `${words.from[detail.from]} ${detail.got}${over}`,
    ...(detail.best !== null && detail.pass !== null ? [words.range(detail.best, detail.pass)] : []),
    ...(detail.areas.length > 0 ? [words.areas(detail.areas.map((area) => area[locale]).join(", "))] : []),
    ...(detail.lastEcts === null ? [] : [words.lastEcts(detail.lastEcts)]),
    ...(detail.setAside > 0 ? [words.setAside(detail.setAside)] : []),
  ].join("; ");
  const rounded = detail.compare === "rounded";
  const formula =
    detail.method === "bavarian" && detail.degrees.length === 0
      ? `1 + 3 × (${detail.best} − ${detail.got}) ÷ (${detail.best} − ${detail.pass})`
      : detail.formula;
  const each = detail.degrees.map(({ title, got, best, pass, exact }) =>
    words.degree(title, got, best !== null && pass !== null ? words.range(best, pass) : null, exact),
  );
  return [
    first,
    ...each,
    ...(formula === null ? [] : [`${formula} = ${detail.exact}`]),
    ...(detail.band === null ? [] : [words.band(detail.band.from, detail.band.grade)]),
    detail.passed
      ? `${words.rounded(words.rounding[detail.rounding], detail.shown)}, ${words.comparedAs(rounded, rounded ? detail.shown : detail.exact)}`
      : words.notPassed(detail.method === "bavarian"),
  ];
}

/** “HET of 3 March 2026: L 38, R 40, total 39”, of one sitting or of the best parts of several. */
function scoresLine(
  { test, dates, scores, total }: Pick<ProofPart, "test" | "dates" | "scores" | "total">,
  words: Words,
  locale: Locale,
): string {
  const days = dates.map((date) => formatDate(locale, date));
  const when =
    days.length > 1
      ? `${words.bestParts} ${days.slice(0, -1).join(", ")} ${words.and} ${days.at(-1)}`
      : `${words.of} ${days[0] ?? "?"}`;
  const parts = Object.entries(scores)
    .map(([part, score]) => `${part} ${score}`)
    .join(", ");
  return `${test.toUpperCase()}${days.length > 1 ? "," : ""} ${when}: ${parts}${total ? `, ${words.total} ${total}` : ""}`;
}

function proofLines(part: ProofPart, words: Words, locale: Locale): readonly string[] {
  const short = part.short.map(({ part: name, needed, got }) =>
    words.short(name === "total" ? words.total : name, needed, got),
  );
  const why = part.reasons.map((reason) => words.reasons[reason] ?? reason);
  const said = part.truth === "met" ? [words.reaches] : [...short, ...why];
  return [
    ...(part.dates.length > 0 ? [scoresLine(part, words, locale)] : [part.test.toUpperCase()]),
    ...(said.length > 0 ? [said.join("; ")] : []),
  ];
}

export function linesOf(detail: Detail, locale: Locale): readonly string[] {
  const words = WORDS[locale];
  switch (detail.kind) {
    case "grade":
      return gradeLines(detail, words, locale);
    case "level":
      return [
        scoresLine(detail, words, locale),
        words.level(detail.level),
        ...(detail.stated ? [words.stated(detail.stated.level, detail.stated.above)] : []),
      ];
    case "proof":
      return detail.parts.flatMap((part) => proofLines(part, words, locale));
    case "ruling":
      return detail.cases.length === 0
        ? [words.noCase]
        : detail.cases.map(({ title, institution, country, answer, by, equalTo, limits }) =>
            [
              words.ruling(
                [title[locale], institution, country && countryName(locale, country)].filter(Boolean).join(", "),
                answer,
                by,
              ),
              ...(equalTo === null ? [] : [words.equalTo(equalTo)]),
              ...(limits === null ? [] : [words.limits(limits)]),
            ].join("; "),
          );
    case "age":
      return [words.age(detail.years, formatDate(locale, detail.born), formatDate(locale, detail.on))];
    case "years":
      return [words.months(detail.months)];
    case "span":
      return [words.span(detail.months, detail.entries, formatDate(locale, detail.until))];
  }
}
