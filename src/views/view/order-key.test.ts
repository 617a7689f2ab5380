import { describe, expect, it } from "vitest";
import { orderKey, orderKeyOf, readOrderKey } from "./order-key";

describe("where a page of files begins", () => {
  const at = new Date("2026-12-01T10:00:00.000Z");
  it("comes back as it went out", () =>
    expect(readOrderKey(orderKey.parse(orderKeyOf(at, "27-00017")))).toEqual(["2026-12-01T10:00:00.000Z", "27-00017"]));

  it.each([[null], [undefined], [""], ["~27-00017"], ["yesterday~27-00017"], ["x".repeat(100)], [17]])(
    "%j leads to the first page",
    (spoilt) => expect(readOrderKey(orderKey.parse(spoilt))).toBeNull(),
  );

  it("is no page without a number", () => expect(readOrderKey("2026-12-01T10:00:00.000Z")).toBeNull());
});
