/** Browsers and systems by what they say of themselves: the first that fits, because many name others beside. */
const BROWSERS = [
  [/Edg\//u, "Edge"],
  [/OPR\//u, "Opera"],
  [/Firefox\//u, "Firefox"],
  [/Chrom(e|ium)\//u, "Chrome"],
  [/Safari\//u, "Safari"],
] as const;
const SYSTEMS = [
  [/iPhone|iPad/u, "iOS"],
  [/Android/u, "Android"],
  [/Windows/u, "Windows"],
  [/Mac OS X/u, "macOS"],
  [/Linux|X11/u, "Linux"],
] as const;

const firstOf = (known: readonly (readonly [RegExp, string])[], said: string): string =>
  known.find(([sign]) => sign.test(said))?.[1] ?? "";

/** “Firefox, Linux”; empty where nothing is recognised. @param said the `User-Agent` of a request */
export const deviceName = (said: string): string =>
  [firstOf(BROWSERS, said), firstOf(SYSTEMS, said)].filter(Boolean).join(", ");
