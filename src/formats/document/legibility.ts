import sharp from "sharp";
import type { Mark } from "./inspection";

/** At this width a page of print has letters of some pixels, on which sharpness can be measured alike for all. */
const MEASURED_WIDTH = 1000;
/** Smaller ones are stamps and signatures. */
const SMALLEST_SIDE = 300;
/**
 * Sharpness by the contrast of the page. Pages of print have 0.1 to 0.2, however little stands on them; blurred by two pixels and more of
 * 150 dots an inch they have less than 0.03. Held by legibility.test.ts.
 */
const BLURRED = 0.03;
/** Paper alone: its darkest place is hardly darker than the rest, the noise of a camera included. */
const PLAIN = 40;

/** What can be seen of the picture of a page without reading it: that nothing stands on it, or that it is blurred. It decides nothing. */
export async function legibilityOf(picture: Buffer, limitInputPixels: number): Promise<readonly Mark[]> {
  const { data: grey, info } = await sharp(picture, { limitInputPixels })
    .flatten({ background: "#ffffff" })
    .resize({ width: MEASURED_WIDTH, withoutEnlargement: true })
    .greyscale()
    .png({ compressionLevel: 0 })
    .toBuffer({ resolveWithObject: true });
  if (Math.min(info.width, info.height) < SMALLEST_SIDE) return [];
  const { channels, sharpness } = await sharp(grey).stats();
  const [tones] = channels;
  if (!tones || tones.mean - tones.min < PLAIN) return ["blank_page"];
  return sharpness / tones.stdev < BLURRED ? ["blurred"] : [];
}
