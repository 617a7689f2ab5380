import path from "node:path";
import { Font } from "@react-pdf/renderer";
import * as fontkit from "fontkit";

/** The fonts with which anything that people write can be printed: the first that has a letter draws it. */
const FONTS = [
  ["noto-sans", "NotoSans"],
  ["noto-sans-arabic", "NotoSansArabic"],
  ["noto-sans-hebrew", "NotoSansHebrew"],
  ["noto-sans-devanagari", "NotoSansDevanagari"],
  ["noto-sans-thai", "NotoSansThai"],
  ["noto-sans-sc", "NotoSansSC"],
  ["noto-sans-kr", "NotoSansKR"],
] as const;

const FOLDER = path.join(process.cwd(), "node_modules/@expo-google-fonts");
const WEIGHTS = [
  ["400Regular", 400],
  ["700Bold", 700],
] as const;
const fileOf = (folder: string, name: string, style: string) =>
  path.join(FOLDER, folder, style, `${name}_${style}.ttf`);
let known = false;

/** The families to print with. Their files are read when the first letter needs them. */
export function printFonts(): string[] {
  if (!known) {
    for (const [folder, name] of FONTS)
      Font.register({
        family: name,
        fonts: WEIGHTS.map(([style, fontWeight]) => ({ src: fileOf(folder, name, style), fontWeight })),
      });
    // Words are never broken: there are names among them.
    Font.registerHyphenationCallback((word) => [word]);
    known = true;
  }
  return FONTS.map(([, name]) => name);
}

const opened = new Map<string, fontkit.Font>();

/** Opened when a letter is looked for that the fonts before it do not have. */
function fontAt(folder: string, name: string): fontkit.Font {
  const font = opened.get(name) ?? fontkit.openSync(fileOf(folder, name, "400Regular"));
  if (!("hasGlyphForCodePoint" in font)) throw new Error(`${name} holds several fonts`);
  opened.set(name, font);
  return font;
}

const printed = new Map<string, boolean>();

function canPrint(letter: string): boolean {
  const known = printed.get(letter);
  if (known !== undefined) return known;
  const code = letter.codePointAt(0) ?? 0;
  const found = FONTS.some(([folder, name]) => fontAt(folder, name).hasGlyphForCodePoint(code));
  printed.set(letter, found);
  return found;
}

/** The text as it can be printed: control signs become spaces, line breaks stay, and a letter that no font has becomes a box. */
export function printable(text: string): string {
  let shown = "";
  for (const letter of text) {
    if (letter === "\n") shown += letter;
    else if (/^\p{Cc}$/u.test(letter)) shown += " ";
    // Signs without a shape of their own steer the letters beside them and need no font.
    else if (/^[\p{Cf}\p{M}]$/u.test(letter) || canPrint(letter)) shown += letter;
    else shown += "\u25a1";
  }
  return shown;
}
