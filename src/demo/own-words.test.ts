import { describe, expect, it } from "vitest";
import type { PlainDate } from "../core/ids";
import { comparedWords } from "../core/statements/compared-words";
import { likenessOf } from "../core/statements/likeness";
import { startOfStudies } from "./catalogue";
import { ownWords } from "./own-words";
import { stories } from "./stories";

const ANCHOR = "2026-11-25" as PlainDate;

describe("the demo's statements", () => {
  it("are nobody else's", () => {
    const people = stories(ANCHOR, startOfStudies(ANCHOR) as PlainDate).map(({ profile, round }) => ({
      name: `${profile.given} ${profile.family}`,
      words: comparedWords(
        round === "PCS 1" ? ownWords(`${profile.given} ${profile.family}`, profile.town, 26) : profile.motivation,
      ),
    }));
    const alike = people.flatMap((a) =>
      people.flatMap((b) => (a.name < b.name && likenessOf(a.words, b.words) ? [`${a.name}, ${b.name}`] : [])),
    );
    expect(alike).toEqual([]);
  });
});
