import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { comparedWords } from "./compared-words";
import { likenessOf } from "./likeness";
import { LEAST_RUN, marksOf } from "./marks";
import { passagesIn } from "./passages";

const keys = (text: string) => comparedWords(text).map((w) => w.key);

describe("the words that are compared", () => {
  it.each([
    ["case, accents and punctuation do not count", "Élan vital — NOW!", ["elan", "vital", "now"]],
    ["an apostrophe stands within a word", "I don’t; the sea's", ["i", "dont", "the", "seas"]],
    ["numbers are words", "In 2024, 3 of 4.5", ["in", "2024", "3", "of", "4", "5"]],
    ["signs that nobody sees hide nothing", "oc\u200bean cur\u00adrents", ["ocean", "currents"]],
    ["letters of another script that look alike hide nothing", "оcean", ["ocean"]],
    ["a word that is wholly in another script stays what it is", "море", ["море"]],
    ["Greek stays Greek", "θάλασσα", ["θαλασσα"]],
    ["nothing stands in blanks and signs", " — … !", []],
  ])("%s", (_what, text, words) => expect(keys(text)).toEqual(words));

  it("says where each word stands in the text as it was written", () => {
    const text = "  Élan — l’océan\u200b 海洋学を";
    const found = comparedWords(text).map((w) => text.slice(w.start, w.end));
    expect(found.slice(0, 2)).toEqual(["Élan", "l’océan\u200b"]);
    expect(found.slice(2).join("")).toBe("海洋学を");
    expect(found.length).toBeGreaterThan(3);
  });
});

const COPIED =
  "I have watched the ferries of our harbour since I could walk, and each winter I asked my grandmother why the fog came from the south.";

describe("likeness", () => {
  const around = (copy: string) =>
    `My road to this programme began in a workshop. ${copy} Later I learned to weld and to keep accounts.`;

  it("finds what was copied into another text, and where", () => {
    const [one, other] = [around(COPIED), `Nobody in my family went to sea. ${COPIED}`];
    const found = likenessOf(comparedWords(one), comparedWords(other));
    const words = comparedWords(one);
    const [passage] = found?.passages ?? [];
    expect(found?.words).toBe(comparedWords(COPIED).length);
    expect(found?.longest).toBe(26);
    expect(found?.passages).toHaveLength(1);
    expect(one.slice(words[passage?.from ?? 0]?.start, words[(passage?.from ?? 0) + 25]?.end)).toBe(
      COPIED.slice(0, -1),
    );
    expect(found?.share).toBeCloseTo(26 / words.length, 10);
  });

  it.each([
    ["other case and punctuation", COPIED.toUpperCase().replace(/,/gu, " –")],
    ["unseen signs", COPIED.replace(/e/gu, "e\u200b")],
    ["letters that look alike", COPIED.replace(/o/gu, "о")],
    ["accents", COPIED.replace(/a/gu, "á")],
  ])("is not hidden by %s", (_what, changed) =>
    expect(likenessOf(comparedWords(changed), comparedWords(around(COPIED)))?.words).toBe(26),
  );

  it("takes a turn of phrase for nothing", () => {
    const phrase = "I am writing to apply for a place on your programme";
    expect(likenessOf(comparedWords(`${phrase} since I like ships.`), comparedWords(`${phrase}, as said.`))).toBeNull();
  });

  it("leaves out what the form itself says", () => {
    const question =
      "Say in your own words what you want to learn here and what you bring with you from school or from work so far.";
    const form = comparedWords(question);
    const [one, other] = [`${question} I want to learn to dive.`, `${question} Tides.`].map(comparedWords);
    expect(likenessOf(one ?? [], other ?? [])?.words).toBe(form.length);
    expect(likenessOf(one ?? [], other ?? [], form)).toBeNull();
  });

  it("counts a passage that stands twice for each time", () => {
    const twice = likenessOf(comparedWords(`${COPIED} And again: ${COPIED}`), comparedWords(COPIED));
    expect(twice?.words).toBe(52);
    expect(twice?.passages.map((p) => p.otherFrom)).toEqual([0, 0]);
  });

  it("reads a text that says one word thousands of times", () => {
    const text = comparedWords("sea ".repeat(4000));
    expect(likenessOf(text, text)?.words).toBe(4000);
    expect(marksOf(text)).toHaveLength(1);
  });
});

const word = fc.constantFrom(..."tide swell ebb reef kelp hull keel mast buoy gale".split(" "));
const text = (least: number, most: number) =>
  fc.array(word, { minLength: least, maxLength: most }).map((words) => comparedWords(words.join(" ")));

describe("for any texts", () => {
  it("two that share ten words in a row share a mark", () =>
    fc.assert(
      fc.property(text(0, 40), text(LEAST_RUN, 30), text(0, 40), text(0, 40), text(0, 40), (a, run, b, c, d) => {
        const marks = new Set(marksOf([...a, ...run, ...b]));
        expect(marksOf([...c, ...run, ...d]).some((m) => marks.has(m))).toBe(true);
      }),
    ));

  it("passages are shared word for word, do not overlap, and none of ten words is overlooked", () =>
    fc.assert(
      fc.property(text(0, 120), text(0, 120), (one, other) => {
        const found = passagesIn(one, other);
        const covered = one.map(() => false);
        for (const { from, otherFrom, words } of found)
          for (let i = 0; i < words; i += 1) {
            expect(one[from + i]?.key).toBe(other[otherFrom + i]?.key);
            expect(covered[from + i]).toBe(false);
            covered[from + i] = true;
          }
        const runs = new Set(
          other
            .map((_, i) =>
              other
                .slice(i, i + LEAST_RUN)
                .map((w) => w.key)
                .join(" "),
            )
            .filter((_, i) => i + LEAST_RUN <= other.length),
        );
        for (let i = 0; i + LEAST_RUN <= one.length; i += 1)
          if (
            runs.has(
              one
                .slice(i, i + LEAST_RUN)
                .map((w) => w.key)
                .join(" "),
            )
          )
            expect(covered.slice(i, i + LEAST_RUN)).toContain(true);
      }),
    ));

  it("a text is wholly like itself", () =>
    fc.assert(
      fc.property(text(20, 80), (one) => {
        const found = likenessOf(one, one);
        expect(found?.share).toBe(1);
        expect(found?.passages).toEqual([{ from: 0, otherFrom: 0, words: one.length }]);
      }),
    ));
});
