import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  DEFAULT_MOST_BYTES,
  marksHere,
  mostBytesOf,
  notTaken,
  type SentDocument,
  type Takes,
  takesSchema,
} from "./takes";

const pdf: SentDocument = { mediaType: "application/pdf", bytes: 40_000, pages: 3, marks: [] };
const picture: SentDocument = { ...pdf, mediaType: "image/jpeg", pages: 1 };
const MB = 1024 * 1024;

/** What a requirement takes is its own rule; what it does not say is taken as everywhere. */
describe("what a requirement takes", () => {
  it.each<[string, Takes, SentDocument, string | null]>([
    ["anything where nothing is said", {}, pdf, null],
    ["a picture where nothing is said", {}, picture, null],
    ["only PDF", { formats: ["pdf"] }, picture, "only_pdf_here"],
    ["only pictures", { formats: ["picture"] }, pdf, "only_pictures_here"],
    ["both where both are named", { formats: ["pdf", "picture"] }, picture, null],
    ["as many pages as are allowed", { mostPages: 3 }, pdf, null],
    ["no page more", { mostPages: 2 }, pdf, "too_many_pages_here"],
    ["as much as is allowed", { mostMegabytes: 1 }, { ...pdf, bytes: MB }, null],
    ["no byte more", { mostMegabytes: 1 }, { ...pdf, bytes: MB + 1 }, "too_large"],
    ["no byte more than everywhere", {}, { ...pdf, bytes: DEFAULT_MOST_BYTES + 1 }, "too_large"],
    ["more than everywhere where it says so", { mostMegabytes: 20 }, { ...pdf, bytes: DEFAULT_MOST_BYTES + 1 }, null],
    ["a PDF with a program, shown without it", {}, { ...pdf, marks: ["active_content"] }, null],
    ["no PDF with a program", { refusesActive: true }, { ...pdf, marks: ["active_content"] }, "active_content"],
    ["a plain one then", { refusesActive: true }, { ...pdf, marks: ["restricted"] }, null],
  ])("%s", (_, takes, sent, refused) => {
    expect(notTaken(takes, sent)).toBe(refused);
  });

  it("marks what has fewer pages than usual, beside what it shows anyway", () => {
    expect(marksHere({ usualPages: 4 }, { pages: 3, marks: ["restricted"] })).toEqual(["restricted", "few_pages"]);
    expect(marksHere({ usualPages: 3 }, { pages: 3, marks: [] })).toEqual([]);
    expect(marksHere({}, { pages: 1, marks: [] })).toEqual([]);
  });

  it("never takes more by a further rule than without it", () => {
    const rules = fc.record(
      {
        formats: fc.subarray(["pdf", "picture"] as const, { minLength: 1 }),
        mostPages: fc.integer({ min: 1, max: 200 }),
        refusesActive: fc.boolean(),
      },
      { requiredKeys: [] },
    );
    const sent = fc.record({
      mediaType: fc.constantFrom("application/pdf", "image/jpeg", "image/png"),
      bytes: fc.integer({ min: 1, max: 2 * DEFAULT_MOST_BYTES }),
      pages: fc.integer({ min: 1, max: 200 }),
      marks: fc.subarray(["active_content", "restricted"]),
    });
    fc.assert(
      fc.property(rules, sent, (takes, document) => {
        expect(takesSchema.safeParse(takes).success).toBe(true);
        if (notTaken({}, document) !== null) expect(notTaken(takes, document)).not.toBeNull();
        expect(mostBytesOf(takes)).toBe(DEFAULT_MOST_BYTES);
      }),
    );
  });
});
