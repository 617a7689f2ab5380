/** Chooses among answers that would all do. The plain one answers as most people would, and in the same way each time. */
export interface Picker {
  readonly yes: (place: string) => boolean;
  readonly one: <T>(place: string, of: readonly T[]) => T | undefined;
  /** At least so many of them. */
  readonly some: <T>(place: string, of: readonly T[], least: number) => readonly T[];
  readonly inOrder: <T>(place: string, of: readonly T[]) => readonly T[];
  /** Whether what nobody has to answer is answered, too. */
  readonly inFull: boolean;
}

export const PLAIN: Picker = {
  yes: () => false,
  one: (_, [first]) => first,
  some: (_, of, least) => of.slice(0, least),
  inOrder: (_, of) => of,
  inFull: false,
};

/** A whole number that looks like chance and is the same for the same text: FNV-1a, 32 bits, and the last mixing of MurmurHash3. */
function spread(text: string): number {
  let hash = 0x811c9dc5;
  for (const sign of text) hash = Math.imul(hash ^ (sign.codePointAt(0) ?? 0), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}

/** Answers everything, this way or that by the seed and the place: every second seed answers a yes or no the other way. */
export const seeded = (seed: number): Picker => {
  const chance = (place: string) => spread(`${seed >> 1}|${place}`);
  const inOrder: Picker["inOrder"] = (place, of) =>
    of
      .map((item, i) => ({ item, by: spread(`${seed}|${place}|${i}`) }))
      .sort((a, b) => a.by - b.by)
      .map(({ item }) => item);
  return {
    yes: (place) => chance(place) % 2 === seed % 2,
    one: (place, of) => of[(chance(place) + seed) % Math.max(of.length, 1)],
    some: (place, of, least) => inOrder(place, of).slice(0, Math.max(least, (chance(place) + seed) % (of.length + 1))),
    inOrder,
    inFull: true,
  };
};
