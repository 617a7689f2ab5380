import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { inspectDocument } from "./inspect";
import { shapePicture } from "./picture";

const PORTRAIT = { width: 480, height: 600 };

/** A picture whose left half is dark and whose right half is light. */
const halves = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: "#ffffff" } }).composite([
    {
      input: { create: { width: Math.floor(width / 2), height, channels: 3, background: "#000000" } },
      left: 0,
      top: 0,
    },
  ]);

async function sizeOf(bytes: Buffer | string) {
  if (typeof bytes === "string") return bytes;
  const { width, height, format, exif } = await sharp(bytes).metadata();
  return { width, height, format, exif };
}

describe("a picture of a size that is asked for", () => {
  it.each([
    ["wider than it", 1200, 800],
    ["higher than it", 700, 2400],
    ["exactly it", 480, 600],
  ])("is cropped and shrunk from one that is %s", async (_, width, height) => {
    const bytes = await halves(width, height).png().toBuffer();
    expect(await sizeOf(await shapePicture(bytes, PORTRAIT))).toEqual({ ...PORTRAIT, format: "jpeg", exif: undefined });
  });

  it.each([
    [479, 900],
    [900, 599],
  ])("is not blown up from %i by %i", async (width, height) =>
    expect(await shapePicture(await halves(width, height).png().toBuffer(), PORTRAIT)).toBe("picture_too_small"),
  );

  it("is turned as the camera says before it is measured, and keeps nothing of what the camera wrote", async () => {
    // Lies on its side: 700 by 500 as stored, 500 by 700 as seen; dark on the left as stored is dark above as seen.
    const bytes = await halves(700, 500)
      .withExif({ IFD0: { Make: "Camera" } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(bytes).metadata()).orientation).toBe(6);
    const looked = await inspectDocument(bytes, "me.jpg", undefined, PORTRAIT);
    const made = looked.verdict === "store" ? looked.bytes : looked.reason;
    expect(await sizeOf(made)).toEqual({ ...PORTRAIT, format: "jpeg", exif: undefined });
    const brightness = async (top: number) =>
      (
        await sharp(made as Buffer)
          .extract({ left: 240, top, width: 1, height: 1 })
          .raw()
          .toBuffer()
      )[0];
    expect(await brightness(20)).toBeLessThan(30);
    expect(await brightness(570)).toBeGreaterThan(225);
  });
});
