import sharp from "sharp";
import type { Picture } from "../../core/rulebook/requirement";

const QUALITY = 88;

/**
 * Brings a picture to the shape and size that are asked for: cropped around its middle where the shape differs, shrunk, and without what
 * its camera wrote into it (the place among it). One that is smaller is not blown up.
 * @param bytes a picture as it is kept: turned, and of a bearable size
 * @returns a JPEG, or why there is none
 */
export async function shapePicture(bytes: Buffer, { width, height }: Picture): Promise<Buffer | "picture_too_small"> {
  const image = sharp(bytes);
  const size = await image.metadata();
  if (size.width < width || size.height < height) return "picture_too_small";
  return image
    .resize({ width, height, fit: "cover", position: "centre" })
    .flatten({ background: "#ffffff" })
    .jpeg({ quality: QUALITY })
    .toBuffer();
}
