import sharp, { type Sharp } from "sharp";
import { DEFAULT_MOST_BYTES } from "../../core/rulebook/takes";
import type { Inspection, Mark } from "./inspection";
import { legibilityOf } from "./legibility";

/** Below 150 dots an inch on A4 a page is hard to read: its shorter side has fewer pixels than this. */
const READABLE_SHORT_SIDE = 1240;
/** More than any telephone takes; a JPEG of that size is shrunk while it is read, a PNG has to be unpacked whole. */
const MOST_PIXELS = { "image/jpeg": 120_000_000, "image/png": 40_000_000 } as const;
/** As much as a page at 400 dots an inch, in colour. */
const KEPT_PIXELS = 20_000_000;
const QUALITY = 90;

const jpegOf = (image: Sharp): Promise<Buffer> =>
  image.flatten({ background: "#ffffff" }).jpeg({ quality: QUALITY, chromaSubsampling: "4:4:4" }).toBuffer();

/** The picture made anew: turned as its camera says, eight bits a colour, of a bearable size, and with nothing but the picture in it. */
async function madeAnew(bytes: Buffer, mediaType: "image/jpeg" | "image/png", limitInputPixels: number) {
  const image = sharp(bytes, { limitInputPixels, failOn: "error", sequentialRead: true });
  const { width, height } = await image.metadata();
  const scale = Math.min(1, Math.sqrt(KEPT_PIXELS / (width * height)));
  const turned = image
    .rotate()
    .resize({
      width: Math.floor(Math.max(width, height) * scale),
      height: Math.floor(Math.max(width, height) * scale),
      fit: "inside",
      withoutEnlargement: true,
    })
    .toColourspace("srgb");
  if (mediaType === "image/png") {
    const png = await turned.clone().png({ compressionLevel: 6 }).toBuffer();
    if (png.length <= DEFAULT_MOST_BYTES) return { made: png, mediaType, shortSide: Math.min(width, height) };
  }
  return { made: await jpegOf(turned), mediaType: "image/jpeg" as const, shortSide: Math.min(width, height) };
}

/** Checks that a picture can be read, and how readable it is at the size at which it is shown. What is kept of it is made anew. */
export async function inspectImage(bytes: Buffer, mediaType: "image/jpeg" | "image/png"): Promise<Inspection> {
  try {
    const { width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (width * height > MOST_PIXELS[mediaType]) return { verdict: "refuse", reason: "too_many_pixels" };
    const kept = await madeAnew(bytes, mediaType, MOST_PIXELS[mediaType]);
    const legible = await legibilityOf(kept.made, KEPT_PIXELS * 2);
    const marks: readonly Mark[] = kept.shortSide < READABLE_SHORT_SIDE ? ["hard_to_read", ...legible] : legible;
    return {
      verdict: "store",
      bytes: kept.made,
      mediaType: kept.mediaType,
      pages: 1,
      marks,
      original: { bytes, mediaType },
      picture: null,
    };
  } catch {
    return { verdict: "refuse", reason: "damaged" };
  }
}
