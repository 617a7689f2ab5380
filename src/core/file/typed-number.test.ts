import { describe, expect, it } from "vitest";
import { typedNumber } from "./typed-number";

describe("the number of a file as people type it", () => {
  it.each([
    ["27-00031", "27-00031"],
    [" 27 00031 ", "27-00031"],
    ["2700031", "27-00031"],
    ["27-000", "27-000"],
    ["00031", null],
    ["27", null],
    ["27-000311", null],
    ["Zielinska 27", null],
    ["27–00031", null],
  ])("“%s”", (text, expected) => expect(typedNumber(text)).toBe(expected));
});
