import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { fold } from "./fold";

describe("a name's key for finding", () => {
  it.each(vectorsOf<{ name: string }, string>("fold"))("%s", (_, { input, expected }) =>
    expect(fold(input.name)).toBe(expected),
  );
  it("stays the same when folded again", () =>
    expect(fold(fold("Łukasz  ŻÓŁĆ-Großmann"))).toBe(fold("Łukasz  ŻÓŁĆ-Großmann")));
});
