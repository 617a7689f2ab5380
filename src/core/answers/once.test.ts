import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Json } from "../file/facts";
import { type Field, fieldSchema } from "../rulebook/section";
import { repeatedEntries, takenElsewhere } from "./once";

const field = (once: { within?: string; except?: string[] }): Field =>
  fieldSchema.parse({ key: "subject", kind: "choice", title: { en: "Subject", fr: "Matière" }, required: true, once });
const inSitting = field({ within: "sitting", except: ["other"] });

const ROWS: Readonly<Record<string, Readonly<Record<string, Json>>>> = {
  a: { sitting: "one", subject: "biology" },
  b: { sitting: "one", subject: "physics" },
  c: { sitting: "two", subject: "biology" },
  d: { sitting: "one", subject: "biology" },
  e: { sitting: "one", subject: "other" },
  f: { sitting: "one", subject: "other" },
  g: { subject: "biology" },
};
const read = (entry: string, key: string): Json => ROWS[entry]?.[key] ?? null;
const entries = Object.keys(ROWS);

describe("a value that a list takes once", () => {
  it.each([
    ["b", ["biology"]],
    ["c", []],
    ["e", ["biology", "physics"]],
    ["g", []],
  ])("for %s taken are %j", (entry, taken) =>
    expect([...takenElsewhere(inSitting, entry, entries, read)].sort()).toEqual(taken),
  );

  it("names the later of two entries, free again in another sitting, and lets what is excepted repeat", () =>
    expect(repeatedEntries(inSitting, entries, read)).toEqual(["d"]));

  it("may be the whole list", () =>
    expect(repeatedEntries(field({ except: ["other"] }), entries, read)).toEqual(["c", "d", "g"]));

  it("is nothing for a field that may repeat", () => {
    const { once: _once, ...plain } = inSitting;
    expect(repeatedEntries(plain, entries, read)).toEqual([]);
  });

  it("leaves no value twice once the named entries are taken out", () => {
    const rows = fc.array(
      fc.record({ sitting: fc.constantFrom("one", "two"), subject: fc.constantFrom("x", "y", "z") }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(rows, (all) => {
        const ids = all.map((_, i) => String(i));
        const at = (entry: string, key: string): Json => all[Number(entry)]?.[key as "sitting" | "subject"] ?? null;
        const repeated = repeatedEntries(inSitting, ids, at);
        const left = ids
          .filter((id) => !repeated.includes(id))
          .map((id) => `${at(id, "sitting")} ${at(id, "subject")}`);
        expect(new Set(left).size).toBe(left.length);
        expect(new Set(left)).toEqual(new Set(all.map((r) => `${r.sitting} ${r.subject}`)));
      }),
    );
  });
});
