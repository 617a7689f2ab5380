import { describe, expect, it } from "vitest";
import type { Condition } from "./condition";
import { judge } from "./evaluate";
import { UNKNOWN } from "./fact";
import { withoutUnasked } from "./unasked";

/** Rules about facts that a form never asks for. */
describe("a condition without what is never asked", () => {
  const home: Condition = { op: "fact", fact: "citizenship.residence", is: "equals", value: "IE" };
  const graduate: Condition = { op: "fact", fact: "answers.graduate.of", is: "differs", value: "none" };
  const source = {
    list: () => ({ entries: [], open: true }),
    scalar: (name: string) =>
      name === "citizenship.residence" ? { kind: "value" as const, value: "IE", confirmed: true } : UNKNOWN,
  };
  const truth = (condition: Condition, asked: readonly string[]) =>
    judge(
      withoutUnasked(condition, (fact) => asked.includes(fact)),
      source,
    ).truth;
  const both = ["citizenship.residence", "answers.graduate.of"];
  const one = ["citizenship.residence"];

  it.each<readonly [string, Condition, string, string]>([
    ["what is asked and not answered is open; what is not asked holds of nobody", graduate, "open", "not met"],
    ["all of several", { op: "all", of: [home, graduate] }, "open", "not met"],
    ["one of several", { op: "any", of: [graduate, graduate] }, "open", "not met"],
    ["one that is met anyway", { op: "any", of: [graduate, home] }, "met", "met"],
    ["two of three", { op: "atLeast", count: 2, of: [home, graduate, graduate] }, "open", "not met"],
    ["its opposite", { op: "not", of: graduate }, "open", "met"],
    ["entries of a list", { op: "some", list: "jobs", where: graduate }, "open", "open"],
  ])("%s", (_, condition, asked, unasked) => {
    expect([truth(condition, both), truth(condition, one)]).toEqual([asked, unasked]);
  });
});
