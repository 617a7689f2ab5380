import sharp from "sharp";
import type { Picture } from "../../core/rulebook/requirement";
import { MOST_PIXELS } from "./image";

const QUALITY = 88;

/**
 * Brings a picture to the shape and size that are asked for: turned as its camera says, cropped around its middle where the shape
 * differs, shrunk, and without what its camera wrote into it (the place among it). One that is smaller is not blown up.
 * @returns a JPEG, or why there is none
 */
export async function shapePicture(bytes: Buffer, { width, height }: Picture): Promise<Buffer | "picture_too_small"> {
  const turned = sharp(bytes, { limitInputPixels: MOST_PIXELS }).rotate();
  const { info } = await turned.clone().raw().toBuffer({ resolveWithObject: true });
  if (info.width < width || info.height < height) return "picture_too_small";
  return turned
    .resize({ width, height, fit: "cover", position: "centre" })
    .flatten({ background: "#ffffff" })
    .jpeg({ quality: QUALITY })
    .toBuffer();
}
