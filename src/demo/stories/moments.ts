import type { PlainDate } from "../../core/ids";
import { formatDay, parseDay } from "../../core/time/day";
import { addDays } from "../../core/time/zone";
import { someone } from "../people";
import type { Profile } from "../profile";
import type { Moment } from "../story";

export const ALL = ["passport", "certificate", "transcript", "motivation", "english"] as const;

/** Filled, supplied, referee asked and, where one is due, the fee paid, over the days before the submission. */
export function prepared(submitDay: number, pays: boolean): readonly Moment[] {
  return [
    { do: "fill", day: submitDay - 5, at: "19:20" },
    { do: "supply", day: submitDay - 3, at: "20:05" },
    { do: "ask referee", day: submitDay - 3, at: "20:15" },
    ...(pays ? [{ do: "pay", day: submitDay - 1, at: "12:10" } as const] : []),
  ];
}

export function submitted(day: number, pays = true): readonly Moment[] {
  return [...prepared(day, pays), { do: "submit", day, at: "11:40" }];
}

/** Everything checked and confirmed, the reference there: complete and ready to be decided. */
export function worked(day: number, pays = true, changed: Readonly<Record<string, string>> = {}): readonly Moment[] {
  return [
    ...submitted(day, pays),
    { do: "take", day: day + 1, by: "officer", at: "09:10" },
    { do: "accept", day: day + 2, which: ALL, at: "09:40" },
    { do: "confirm", day: day + 2, at: "10:05", changed },
    { do: "reference given", day: day + 4, at: "16:30" },
    { do: "accept", day: day + 5, which: ["reference"], at: "09:15" },
  ];
}

export const home = { citizenships: ["IE"], country: "IE", residence: "IE", town: "Galway" } as const;

const FIRST_BORN = parseDay("2001-01-09") ?? 0;
const BORN_WITHIN = 1300;
/** One in so many leaves a telephone number. */
const ONE_IN = 3;

/** A day of birth, a passport and perhaps a number of one's own: nobody in the demo looks like somebody else unless the story says so. */
function ownNumbers(name: string): Pick<Profile, "birthDate" | "passportNumber" | "phone"> {
  const sum = [...name].reduce((all, sign) => (all * 31 + (sign.codePointAt(0) ?? 0)) % 8_999_993, 7);
  return {
    birthDate: formatDay(FIRST_BORN + (sum % BORN_WITHIN)),
    passportNumber: `R${1_000_003 + sum}`,
    ...(sum % ONE_IN === 0 ? { phone: `+353 1 555 0${100 + (sum % 100)}` } : {}),
  };
}

/** What every story is told with: days from the anchor, and people who are as good as the rules ask unless something is said. */
export interface Telling {
  readonly start: PlainDate;
  readonly day: (days: number) => PlainDate;
  readonly het: (L: string, R: string, W: string, S: string, daysAgo?: number) => Profile["english"];
  readonly good: Profile["english"];
  readonly running: { readonly status: "in progress"; readonly end: string };
  readonly who: typeof someone;
}

export function tellingOf(anchor: PlainDate, start: PlainDate): Telling {
  const day = (days: number) => addDays(anchor, days);
  const het: Telling["het"] = (L, R, W, S, daysAgo = 60) => ({
    way: "test",
    test: "het",
    date: day(-daysAgo),
    scores: { L, R, W, S },
  });
  const good = het("41", "43", "38", "40");
  const running = { status: "in progress", end: addDays(start, -50) } as const;
  const who: Telling["who"] = (given, family, change = {}) =>
    someone(given, family, { english: good, ...ownNumbers(`${given} ${family}`), ...change });
  return { start, day, het, good, running, who };
}

/** The test result of everybody, with the number under which its owner has it. */
export const numbered = (number: string): Profile["english"] => ({
  way: "test",
  test: "het",
  date: "2026-10-03",
  number,
  scores: { L: "41", R: "43", W: "38", S: "40" },
});
