import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { safePath } from "./safe-path";

describe("where to go after signing in", () => {
  it.each([
    ["/my/27-00001?x=1#y", "/my/27-00001?x=1#y"],
    ["/office", "/office"],
    ["//host/x", null],
    ["/\\host/x", null],
    ["/\t/host/x", null],
    ["/\n//host", null],
    ["https://host/", null],
    ["javascript:alert(1)", null],
    ["", null],
    ["/.//host", null],
    ["/x/..//host", null],
  ])("%j is %j", (to, path) => expect(safePath(to)).toBe(path));

  it("is never another site, whatever is asked for", () => {
    const text = fc.oneof(
      fc.string(),
      fc.string({ unit: fc.constantFrom("/", "\\", "\t", ".", "a", "@", ":", "%09") }),
    );
    fc.assert(
      fc.property(text, (rest) => {
        const path = safePath(`/${rest}`);
        return path === null || new URL(path, "https://ours.example").origin === "https://ours.example";
      }),
    );
  });
});
