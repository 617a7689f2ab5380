import { describe, expect, it } from "vitest";
import { passwordProblem } from "./passwords";

describe("passwords", () => {
  it.each([
    ["eleven char", "badPassword"],
    ["x".repeat(201), "badPassword"],
    ["aaaaaaaaaaaa", "passwordGuessed"],
    ["password1234", "passwordGuessed"],
    ["qwertyuiop12", "passwordGuessed"],
    ["123456789012", "passwordGuessed"],
    ["iloveyou1234", "passwordGuessed"],
    ["ana.vale@people.example", "passwordFromForm"],
    ["souza is the word", "passwordFromForm"],
    ["seven quiet lanterns", null],
    ["tide-and-harbour", null],
    ["ein ganz anderes Wort", null],
  ])("%s: %s", (password, problem) =>
    expect(passwordProblem(password, "Ana Vale Souza", "ana.vale@people.example")).toBe(problem),
  );
});
