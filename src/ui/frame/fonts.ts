import localFont from "next/font/local";

/**
 * Both families, for Latin letters, for their extension (ń, ő, ş) and for Vietnamese. They are asked for with the page and shown
 * only if they are there when it is first drawn: text never jumps from one font to another, it is at worst in the reader's own
 * until the next page. Only the two Latin faces are on every page above the fold: they alone are preloaded, so that nothing comes
 * before them on a busy line; the others are asked for by the letters that need them.
 */
const sansLatin = localFont({
  src: "../../../node_modules/@fontsource-variable/public-sans/files/public-sans-latin-wght-normal.woff2",
  weight: "100 900",
  display: "optional",
  variable: "--sans-latin",
  adjustFontFallback: false,
});
const sansExtended = localFont({
  src: "../../../node_modules/@fontsource-variable/public-sans/files/public-sans-latin-ext-wght-normal.woff2",
  weight: "100 900",
  display: "optional",
  preload: false,
  variable: "--sans-extended",
  adjustFontFallback: false,
});
const sansVietnamese = localFont({
  src: "../../../node_modules/@fontsource-variable/public-sans/files/public-sans-vietnamese-wght-normal.woff2",
  weight: "100 900",
  display: "optional",
  preload: false,
  variable: "--sans-vietnamese",
  adjustFontFallback: false,
});
const serifLatin = localFont({
  src: "../../../node_modules/@fontsource-variable/newsreader/files/newsreader-latin-wght-normal.woff2",
  weight: "200 800",
  display: "optional",
  variable: "--serif-latin",
  adjustFontFallback: false,
});
const serifExtended = localFont({
  src: "../../../node_modules/@fontsource-variable/newsreader/files/newsreader-latin-ext-wght-normal.woff2",
  weight: "200 800",
  display: "optional",
  preload: false,
  variable: "--serif-extended",
  adjustFontFallback: false,
});
const serifVietnamese = localFont({
  src: "../../../node_modules/@fontsource-variable/newsreader/files/newsreader-vietnamese-wght-normal.woff2",
  weight: "200 800",
  display: "optional",
  preload: false,
  variable: "--serif-vietnamese",
  adjustFontFallback: false,
});

export const fontClasses = [sansLatin, sansExtended, sansVietnamese, serifLatin, serifExtended, serifVietnamese]
  .map((font) => font.variable)
  .join(" ");
