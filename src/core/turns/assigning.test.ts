import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Role } from "../rights/actor";
import { type AssigningRule, assignee, filedUnder, type Officer, saveAssigningInput, type ToAssign } from "./assigning";

const officer = (id: string, change: Partial<Officer> & { role?: Role; scope?: string } = {}): [string, Officer] => {
  const { role = "officer", scope = "*", ...own } = change;
  return [id, { id, name: id, grants: [{ role, scope }], inHand: 0, coverId: null, ...own }];
};
const rule = (officers: string[], change: Partial<AssigningRule> = {}): AssigningRule => ({
  programmes: [],
  groups: [],
  from: "",
  to: "",
  officers,
  ...change,
});
const file = (change: Partial<ToAssign> = {}): ToAssign => ({
  programmes: ["MES", "MTE"],
  group: "home",
  familyName: "Vestergard",
  ...change,
});

/** Into whose hands a file goes: by the first rule that fits, to who is there and has the fewest. */
describe("assigning", () => {
  const two = new Map([officer("runa", { inHand: 4 }), officer("padraig", { inHand: 2 })]);
  const to = (rules: AssigningRule[], one = file(), officers: ReadonlyMap<string, Officer> = two) =>
    assignee(one, rules, officers)?.id ?? null;

  it("goes by the first rule that fits: programme of the first choice, group and letter", () => {
    expect(to([rule(["runa"], { programmes: ["MTE"] }), rule(["padraig"])])).toBe("padraig");
    expect(to([rule(["runa"], { programmes: ["MES"] }), rule(["padraig"])])).toBe("runa");
    expect(to([rule(["runa"], { groups: ["overseas"] })])).toBeNull();
    expect(to([rule(["runa"], { groups: ["home"] })], file({ group: null }))).toBeNull();
    expect(to([])).toBeNull();
  });

  it.each([
    ["Vestergard", "V", "V", true],
    ["Vestergard", "", "M", false],
    ["Vestergard", "N", "", true],
    ["Østergård", "O", "O", true],
    ["'t Hooft", "T", "T", true],
    ["Ní Dhuibhir", "N", "N", true],
    ["Łukasz", "L", "L", true],
    ["王", "A", "Z", false],
    ["", "A", "Z", false],
  ])("files %s under its letter, and finds it from %s to %s: %s", (familyName, from, to, found) => {
    expect(assignee(file({ familyName }), [rule(["runa"], { from, to })], two) !== null).toBe(found);
  });

  it("takes a name without a letter by a rule that asks for none", () => {
    expect(filedUnder("王")).toBe("");
    expect(to([rule(["runa"], { from: "A", to: "Z" }), rule(["padraig"])], file({ familyName: "王" }))).toBe("padraig");
  });

  it("gives to who has the fewest, and among equals to who stands first", () => {
    expect(to([rule(["runa", "padraig"])])).toBe("padraig");
    const even = new Map([officer("runa"), officer("padraig")]);
    expect(to([rule(["runa", "padraig"])], file(), even)).toBe("runa");
    expect(to([rule(["padraig", "runa"])], file(), even)).toBe("padraig");
  });

  it("passes over who is away for who stands in, over who works elsewhere, and who left", () => {
    const away = new Map([officer("runa", { coverId: "padraig" }), officer("padraig", { inHand: 9 })]);
    expect(to([rule(["runa"])], file(), away)).toBe("padraig");
    const both = new Map([officer("runa", { coverId: "padraig" }), officer("padraig", { coverId: "runa" })]);
    expect(to([rule(["runa"])], file(), both)).toBeNull();
    const elsewhere = new Map([officer("runa", { scope: "BHT" }), officer("padraig", { inHand: 9, scope: "MTE" })]);
    expect(to([rule(["runa", "padraig"])], file(), elsewhere)).toBe("padraig");
    expect(to([rule(["gone"]), rule(["runa"])])).toBe("runa");
    expect(to([rule(["f"])], file(), new Map([officer("f", { role: "finance" })]))).toBeNull();
  });

  it("spreads any number of files so that no two officers of a rule differ by more than one", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 6 }), (files, officers) => {
        const ids = Array.from({ length: officers }, (_, i) => `o${i}`);
        const load = new Map(ids.map((id) => officer(id)));
        for (let i = 0; i < files; i += 1) {
          const given = assignee(file(), [rule(ids)], load);
          if (given) load.set(given.id, { ...given, inHand: given.inHand + 1 });
        }
        const counts = [...load.values()].map((o) => o.inHand);
        expect(counts.reduce((a, b) => a + b, 0)).toBe(files);
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it("refuses rules without anybody, and letters the wrong way round", () => {
    const id = "7e0ebdcb-319c-4870-a4f8-52248ec1cea6";
    const asked = (one: AssigningRule) => saveAssigningInput.safeParse({ version: 0, rules: [one] }).success;
    expect(asked(rule([id], { from: "A", to: "L" }))).toBe(true);
    expect(asked(rule([]))).toBe(false);
    expect(asked(rule([id], { from: "M", to: "L" }))).toBe(false);
    expect(asked(rule([id], { from: "é" }))).toBe(false);
  });
});
