import { describe, expect, it } from "vitest";
import { referenceSet } from "../../demo/reference-set";
import { language } from "../../demo/rulebooks/parts/language";
import { education } from "../../demo/rulebooks/parts/studies";
import type { FileFacts } from "../file/facts";
import { planSection } from "../rulebook/plan";
import { entryOf, type Fact, type FactSource } from "../rules/fact";
import { makeOffice } from "../standards/reference-set";
import { type RulingMeasure, rulingMeasure } from "./ruling";

const office = makeOffice(1, referenceSet);
const DEGREE: RulingMeasure = {
  key: "master",
  kind: "ruling",
  title: { en: "the master", fr: "le master" },
  of: "degrees",
  where: { op: "fact", fact: "it.level", is: "atLeast", value: 7 },
  question: "doctoral entry",
  entitlement: "masters",
};
const EXEMPTION: RulingMeasure = {
  key: "exempt",
  kind: "ruling",
  title: { en: "exemption", fr: "dispense" },
  of: "answers.english",
  where: { op: "fact", fact: "answers.english.way", is: "equals", value: "exempt" },
  question: "English exemption",
};

type Degree = readonly [id: string, country: string | null, level: string | null, title?: string];
type Ruled = FileFacts["rulings"][number];

const fact = (value: string | null, confirmed: boolean): Fact =>
  value === null ? { kind: "unknown" } : { kind: "value", value, confirmed };

function degreesOf(rows: readonly Degree[], { open = false, confirmed = true } = {}): FactSource {
  const entries = rows.map(([id, country, level, title = "MSc"]) =>
    entryOf(id, {
      country: fact(country, confirmed),
      level: fact(level, confirmed),
      title: fact(title, confirmed),
      institution: fact("Somewhere", confirmed),
    }),
  );
  return { scalar: () => ({ kind: "unknown" }), list: () => ({ entries, open }) };
}

const ruled = (entry: string, verdict: Ruled["verdict"], change: Partial<Ruled> = {}): Ruled => ({
  question: "doctoral entry",
  scope: "file",
  section: "education",
  entry,
  verdict,
  equalTo: null,
  limits: null,
  about: { country: "SR", institution: "Somewhere", title: "MSc", level: "7" },
  ...change,
});
const inIreland = { about: { country: "IE", institution: "Somewhere", title: "MSc", level: "7" } };

function found(measure: RulingMeasure, source: FactSource, rulings: readonly Ruled[] = []): string {
  const result = rulingMeasure(measure, source, {
    sections: [education, language].map(planSection),
    rulings,
    office,
    choice: "choice-1",
  });
  if (result.kind !== "value") return "unknown";
  return `${String(result.value)} ${result.confirmed ? "confirmed" : "claimed"}`;
}

describe("whether a degree is accepted", () => {
  it.each<readonly [string, readonly Degree[], readonly Ruled[], string]>([
    ["by the office’s list", [["a", "IE", "7"]], [], "true confirmed"],
    ["not on the list: it waits for a ruling", [["a", "SR", "7"]], [], "unknown"],
    ["ruled to be accepted", [["a", "SR", "7"]], [ruled("a", "accepted")], "true confirmed"],
    ["ruled to be refused", [["a", "SR", "7"]], [ruled("a", "refused")], "false confirmed"],
    ["a ruling goes before the list", [["a", "IE", "7"]], [ruled("a", "refused", inIreland)], "false confirmed"],
    [
      "one of two is enough",
      [
        ["a", "SR", "7"],
        ["b", "IE", "7"],
      ],
      [ruled("a", "refused")],
      "true confirmed",
    ],
    [
      "one refused, one that waits",
      [
        ["a", "SR", "7"],
        ["b", "SR", "7"],
      ],
      [ruled("a", "refused")],
      "unknown",
    ],
    ["a lower degree is no case", [["a", "IE", "6"]], [], "false confirmed"],
    ["a level that is not known may be one", [["a", "IE", null]], [], "unknown"],
    ["a country that is not known fits no list", [["a", null, "7"]], [], "unknown"],
    [
      "a ruling on another question says nothing",
      [["a", "SR", "7"]],
      [ruled("a", "accepted", { question: "first degree" })],
      "unknown",
    ],
    ["a ruling on another entry says nothing", [["a", "SR", "7"]], [ruled("b", "accepted")], "unknown"],
    ["a ruling on what it no longer is does not hold", [["a", "SR", "8"]], [ruled("a", "accepted")], "unknown"],
    ["nor does it keep the list from answering", [["a", "IE", "7"]], [ruled("a", "refused")], "true confirmed"],
    ["no degree at all", [], [], "false confirmed"],
  ])("%s", (_, rows, rulings, expected) => expect(found(DEGREE, degreesOf(rows), rulings)).toBe(expected));

  it("stands on a claim until what the list names is confirmed; a ruling establishes it", () => {
    expect(found(DEGREE, degreesOf([["a", "IE", "7"]], { confirmed: false }))).toBe("true claimed");
    expect(found(DEGREE, degreesOf([["a", "SR", "7"]], { confirmed: false }), [ruled("a", "accepted")])).toBe(
      "true confirmed",
    );
  });

  it("is not refused while more degrees may come", () =>
    expect(found(DEGREE, degreesOf([["a", "SR", "7"]], { open: true }), [ruled("a", "refused")])).toBe("unknown"));

  it("is unknown where the rulebook has no such section", () =>
    expect(
      rulingMeasure({ ...DEGREE, of: "schools" }, degreesOf([]), {
        sections: [planSection(education)],
        rulings: [],
        office,
        choice: "choice-1",
      }).kind,
    ).toBe("unknown"));
});

describe("whether an exemption is accepted", () => {
  const english = (way: string | null): FactSource => ({
    scalar: (name) => (name === "answers.english.way" ? fact(way, false) : { kind: "unknown" }),
    list: () => ({ entries: [], open: false }),
  });
  const own = (verdict: Ruled["verdict"]) =>
    ruled("", verdict, {
      question: "English exemption",
      section: "english",
      about: { country: "", institution: "", title: "", level: "" },
    });

  it.each([
    ["claimed, not ruled on", "exempt", [], "unknown"],
    ["accepted", "exempt", [own("accepted")], "true confirmed"],
    ["refused", "exempt", [own("refused")], "false confirmed"],
    ["not claimed", "test", [], "false confirmed"],
    ["no longer claimed, whatever was ruled", "test", [own("accepted")], "false confirmed"],
    ["nothing said yet", null, [], "unknown"],
  ] as const)("%s", (_, way, rulings, expected) => expect(found(EXEMPTION, english(way), [...rulings])).toBe(expected));
});
