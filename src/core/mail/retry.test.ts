import { describe, expect, it } from "vitest";
import { pauseAfter, TRIED_FOR_MS } from "./retry";

describe("the pauses between tries of a mail", () => {
  it.each([
    [1, 1],
    [2, 2],
    [5, 16],
    [7, 60],
    [1000, 60],
  ])("after %d tries are %d minutes", (attempts, minutes) => expect(pauseAfter(attempts)).toBe(minutes * 60_000));

  it("come to so many tries in three days that a server which is back for an hour is met", () => {
    let [at, tries] = [0, 0];
    while (at < TRIED_FOR_MS) {
      tries += 1;
      expect(pauseAfter(tries)).toBeLessThanOrEqual(3_600_000);
      at += pauseAfter(tries);
    }
    expect(tries).toBeLessThan(90);
  });
});
