import { describe, expect, it } from "vitest";
import { asField } from "../../demo/sample-sections";
import { usualFirst, usualScales } from "./usual-scales";

describe("the usual scales of a kind of qualification", () => {
  const words = { en: "x", fr: "x" };
  const fields = [
    asField("level", "choice", {
      options: [
        { value: "4", title: words, scales: ["passfail", "percent"] },
        { value: "6", title: words },
      ],
    }),
    asField("scale", "scale"),
  ];

  it.each([
    [{ level: "4" }, ["passfail", "percent"]],
    [{ level: "6" }, null],
    [{ level: "9" }, null],
    [{ level: null }, null],
    [{}, null],
  ])("%j: %j", (values, usual) => {
    expect(usualScales(fields, values)).toEqual(usual);
  });

  it("stand before the others, both in the order of the register", () => {
    const scales = ["to20", "percent", "down6", "passfail"].map((key) => ({ key }));
    const order = (usual: readonly string[] | null) => usualFirst(scales, usual).map((s) => s.key);
    expect(order(["passfail", "percent", "gone"])).toEqual(["percent", "passfail", "to20", "down6"]);
    expect(order(null)).toEqual(["to20", "percent", "down6", "passfail"]);
  });
});
