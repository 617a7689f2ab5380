import sharp from "sharp";
import type { Inspection, Mark } from "./inspection";

/** Below 150 dots an inch on A4 a page is hard to read: its shorter side has fewer pixels than this. */
const READABLE_SHORT_SIDE = 1240;
export const MOST_PIXELS = 60_000_000;

/** Checks that a picture can be decoded, and how readable it is at the size at which it is shown. */
export async function inspectImage(bytes: Buffer, mediaType: "image/jpeg" | "image/png"): Promise<Inspection> {
  try {
    const image = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error" });
    const { width, height } = await image.metadata();
    await image.stats();
    const marks: readonly Mark[] = Math.min(width, height) < READABLE_SHORT_SIDE ? ["hard_to_read"] : [];
    return { verdict: "store", mediaType, pages: 1, marks };
  } catch {
    return { verdict: "refuse", reason: "damaged" };
  }
}
