const STROKES: Readonly<Record<string, string>> = {
  ß: "ss",
  æ: "ae",
  œ: "oe",
  ø: "o",
  đ: "d",
  ð: "d",
  þ: "th",
  ł: "l",
  ı: "i",
  ħ: "h",
  ŋ: "n",
  ə: "a",
};

/**
 * A name's key for finding and comparing: lower case, strokes and accents folded, apostrophes and full stops dropped, every
 * other run of signs one blank. Never displayed and never written back.
 */
export function fold(name: string): string {
  return name
    .normalize("NFC")
    .toLowerCase()
    .replace(/[ßæœøđðþłıħŋə]/gu, (letter) => STROKES[letter] ?? letter)
    .normalize("NFKD")
    .replace(/\p{M}+/gu, "")
    .replace(/['’ʼ`.]/gu, "")
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim();
}

const SPELT: Readonly<Record<string, string>> = { ä: "ae", ö: "oe", ü: "ue", å: "aa", ø: "oe" };

/** The same with umlauts written as two letters, as machine-readable zones do. */
export function wide(name: string): string {
  return fold(
    name
      .normalize("NFC")
      .toLowerCase()
      .replace(/[äöüåø]/gu, (letter) => SPELT[letter] ?? letter),
  );
}

/** A key without its blanks. */
export const compact = (key: string): string => key.replace(/ /gu, "");
