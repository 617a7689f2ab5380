import type { Locale } from "../../core/text/local-text";
import { sentence } from "../sentence";

const WORDS = { "0": "shape.digits", A: "shape.letters", X: "shape.either" } as const;
type Sign = keyof typeof WORDS;

const listOf = (locale: Locale) => new Intl.ListFormat(locale, { type: "disjunction" });

/** What numbers look like, in words: those of one kind of sign by how many there are of it, the others sign by sign. */
export function numberShapes(locale: Locale, patterns: readonly string[]): string {
  const lengths = new Map<Sign, number[]>();
  const others: string[] = [];
  for (const pattern of patterns) {
    const [sign] = pattern;
    if (sign !== undefined && sign in WORDS && pattern === sign.repeat(pattern.length))
      lengths.set(sign as Sign, [...(lengths.get(sign as Sign) ?? []), pattern.length]);
    else others.push(`“${pattern}”`);
  }
  const even = [...lengths].map(([sign, counts]) => {
    const [least, most] = [Math.min(...counts), Math.max(...counts)];
    return sentence(locale, WORDS[sign], {
      count: least === most ? String(least) : sentence(locale, "shape.range", { least, most }),
    });
  });
  const legend = others.length > 0 ? ` ${sentence(locale, "shape.legend")}` : "";
  return `${listOf(locale).format([...even, ...others])}${legend}`;
}
