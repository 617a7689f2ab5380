import { describe, expect, it } from "vitest";
import { office } from "../../../tests/support/sample-assessment";
import { applicantGroup } from "../../core/assessment/context";
import { planOf } from "../../core/rulebook/plan";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import type { Condition } from "../../core/rules/condition";
import { judge } from "../../core/rules/evaluate";
import type { FactSource, Scalar } from "../../core/rules/fact";
import { bmr } from "./from-school";
import { fyc } from "./fyc";
import { gbc } from "./gbc";
import { mes } from "./mes";
import { mmh } from "./mmh";
import { mte } from "./mte";
import { visaPapers } from "./parts/circumstances";
import { pcs } from "./pcs";

/** What applicants easily take for something else: the demo's forms say what is meant, where it is asked. */
const BODIES: readonly (readonly [string, RulebookBody])[] = Object.entries({ bmr, fyc, gbc, mes, mmh, mte, pcs });

const facts = (known: Readonly<Record<string, Scalar>>): FactSource => ({
  list: () => ({ entries: [], open: false }),
  scalar: (name) =>
    name in known ? { kind: "value", value: known[name] ?? "", confirmed: false } : { kind: "unknown" },
});
const holds = (condition: Condition | undefined, known: Readonly<Record<string, Scalar>>) =>
  condition === undefined ? "met" : judge(condition, facts(known)).truth;
const fieldOf = (body: RulebookBody, section: string, field: string) =>
  body.sections.find((s) => s.key === section)?.fields.find((f) => f.key === field);

describe("easy mistakes", () => {
  it("a visa is asked about in two small steps, of those alone who may need one, and its papers are made for those without", () => {
    const asked = BODIES.filter(([, body]) => body.sections.some((s) => s.key === "visa"));
    expect(asked.length).toBeGreaterThan(2);
    for (const [, body] of asked) {
      const visa = body.sections.find((s) => s.key === "visa");
      expect(visa?.fields.map((f) => f.key)).toEqual(["holds", "kind"]);
      expect(["home", "overseas"].map((group) => holds(visa?.when, { group }))).toEqual(["not met", "met"]);
      const kind = fieldOf(body, "visa", "kind")?.when;
      expect([true, false].map((held) => holds(kind, { "answers.visa.holds": held }))).toEqual(["met", "not met"]);
    }
    const papers = (held: boolean) => holds(visaPapers.when, { group: "overseas", "answers.visa.holds": held });
    expect([papers(false), papers(true)]).toEqual(["met", "not met"]);
  });

  it("the first day of a degree is explained at its field, wherever degrees are asked for", () => {
    const asked = BODIES.filter(([, body]) => body.sections.some((s) => s.core === "education"));
    expect(asked.length).toBeGreaterThan(3);
    for (const [code, body] of asked)
      expect([code, fieldOf(body, "education", "start")?.help?.en]).toEqual([
        code,
        expect.stringContaining("first day on which you were enrolled"),
      ]);
  });

  it("every attempt at a course is asked for, and a failed one is an answer", () => {
    const asked = BODIES.flatMap(([, body]) => body.sections.filter((s) => s.core === "courses"));
    expect(asked.length).toBeGreaterThan(3);
    for (const { intro, fields } of asked) {
      expect(intro?.en).toContain("one line a course and attempt, failed ones, too");
      expect(fields.find((f) => f.key === "status")?.options?.map((o) => o.value)).toContain("failed");
    }
  });

  it("a permanent right of residence is explained, its permit is asked for in every form, and decides the group", () => {
    for (const [code, body] of BODIES) {
      if (!body.sections.some((s) => s.fields.some((f) => f.key === "stay"))) continue;
      expect([code, fieldOf(body, "citizenship", "stay")?.help?.en]).toEqual([
        code,
        expect.stringContaining("does not end with a job"),
      ]);
      const permit = body.requirements.find((r) => r.key === "permit");
      const lives = (residence: string) =>
        holds(permit?.when, { "citizenship.citizenships": ["IN"], "citizenship.residence": residence });
      expect([code, lives("FR"), lives("IN")]).toEqual([code, "met", "not met"]);
    }
    const group = (stay: string) =>
      applicantGroup(
        facts({ "citizenship.citizenships": ["IN"], "citizenship.residence": "FR", "citizenship.stay": stay }),
        office,
        planOf(mes),
      );
    expect([group("permanent"), group("study"), group("other")]).toEqual(["home", "home", "overseas"]);
  });
});
