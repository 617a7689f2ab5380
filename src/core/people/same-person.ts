import { type BirthDates, compareBirthDates } from "./birth-dates";
import { emailKey } from "./email-key";
import { fold } from "./fold";
import { nameSimilarity } from "./name-similarity";

/** What is compared of a person. */
export interface PersonKeys {
  readonly name: string;
  /** Names that the person had before, whole or in part: papers may be made out to them. */
  readonly formerNames?: readonly string[];
  /** `2004-05-17`, or less of it; "" while unknown. */
  readonly birthDate: string;
  readonly email: string | null;
  /** Issuing country and number of the travel document. */
  readonly document: readonly [issuer: string, number: string] | null;
}

export interface Comparison {
  /** `same` proposes that they are one person; a person decides. */
  readonly verdict: "same" | "look" | "different";
  readonly name: number;
  readonly weakest: number;
  /** The names are alike only when a former one is taken. */
  readonly byFormerName: boolean;
  readonly birthDates: BirthDates;
  readonly email: boolean;
  readonly document: boolean;
}

const plain = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/gu, "");
const documentKey = ([issuer, number]: readonly [string, string]): string => `${plain(issuer)} ${plain(number)}`;

const sameDocument = (a: PersonKeys["document"], b: PersonKeys["document"]): boolean =>
  a !== null && b !== null && documentKey(a) === documentKey(b);

type Seen = Omit<Comparison, "verdict" | "byFormerName">;

function verdictOf({ name, weakest, birthDates, email, document }: Seen): Comparison["verdict"] {
  const slip = birthDates === "swap" || birthDates === "near";
  const equal = birthDates === "equal";
  if (document) return name >= 0.75 && (equal || slip) ? "same" : "look";
  if (name >= 0.93 && weakest >= 0.9 && equal) return "same";
  // Families and agents share addresses: an e-mail never makes two people one.
  if (email && (name >= 0.8 || equal)) return "look";
  if (name >= 0.93 && birthDates !== "different" && !equal) return "look";
  if (name >= 0.75 && equal) return "look";
  return name >= 0.85 && slip ? "look" : "different";
}

const GOOD = 0.93;

/** The likeness of two people's names; where their present ones differ, a former one may be what papers say. */
function namesOf(a: PersonKeys, b: PersonKeys): { score: number; weakest: number; byFormerName: boolean } {
  const present = { ...nameSimilarity(a.name, b.name), byFormerName: false };
  if (present.score >= GOOD) return present;
  const pairs = [
    ...(a.formerNames ?? []).map((former) => [former, b.name] as const),
    ...(b.formerNames ?? []).map((former) => [a.name, former] as const),
  ];
  return pairs
    .map(([one, other]) => ({ ...nameSimilarity(one, other), byFormerName: true }))
    .reduce<typeof present>((best, next) => (next.score > best.score ? next : best), present);
}

/** Whether two records look like one person, with everything that speaks for and against it. */
export function comparePeople(a: PersonKeys, b: PersonKeys): Comparison {
  const { score: name, weakest, byFormerName } = namesOf(a, b);
  const [first, second] = [a.email, b.email].map((e) => (e === null ? null : emailKey(e)));
  const seen = {
    name,
    weakest,
    birthDates: compareBirthDates(a.birthDate, b.birthDate),
    email: first !== null && first !== undefined && first === second,
    document: sameDocument(a.document, b.document),
  };
  return { verdict: verdictOf(seen), byFormerName, ...seen };
}

const SHORTEST_WORD = 3;

/**
 * By what people are brought together before they are compared at all: everybody against everybody would never end. Two people who
 * share none of these keys are not compared.
 */
export function candidateKeys({ name, formerNames = [], birthDate, email, document }: PersonKeys): readonly string[] {
  const words = [name, ...formerNames].flatMap((each) => fold(each).split(" "));
  return [
    ...[...new Set(words)].filter((word) => word.length >= SHORTEST_WORD).map((word) => `name ${word}`),
    ...(birthDate === "" ? [] : [`born ${birthDate}`]),
    ...(email === null ? [] : [`mail ${emailKey(email)}`]),
    ...(document === null ? [] : [`document ${documentKey(document)}`]),
  ];
}
