import { deflateSync } from "node:zlib";
import sharp from "sharp";

/** Files of a few kilobytes that ask for seconds or gigabytes of whoever opens them. Each is made here; nothing of it is kept. */

function pdfOf(objects: readonly (string | Buffer)[], root: string): Buffer {
  const parts: Buffer[] = [Buffer.from("%PDF-1.7\n")];
  const offsets: number[] = [];
  let at = parts[0]?.length ?? 0;
  objects.forEach((body, i) => {
    const object = Buffer.concat([Buffer.from(`${i + 1} 0 obj\n`), Buffer.from(body), Buffer.from("\nendobj\n")]);
    offsets.push(at);
    at += object.length;
    parts.push(object);
  });
  const rows = offsets.map((o) => `${String(o).padStart(10, "0")} 00000 n \n`).join("");
  parts.push(
    Buffer.from(
      `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${rows}trailer\n<< /Size ${objects.length + 1} /Root ${root} >>\nstartxref\n${at}\n%%EOF\n`,
    ),
  );
  return Buffer.concat(parts);
}

const LEVELS = 40;

/** A tree of pages that names each next level twice: 2 to the power of its levels when it is followed. */
export function doublingPages(levels = LEVELS): Buffer {
  const nodes = Array.from(
    { length: levels },
    (_, i) => `<< /Type /Pages /Kids [${i + 3} 0 R ${i + 3} 0 R] /Count ${2 ** Math.min(30, levels - i)} >>`,
  );
  return pdfOf(["<< /Type /Catalog /Pages 2 0 R >>", ...nodes, "<< /Type /Page /MediaBox [0 0 10 10] >>"], "1 0 R");
}

/** A tree of pages that leads back to its own root. */
export const circularPages = (): Buffer =>
  pdfOf(["<< /Type /Catalog /Pages 2 0 R >>", "<< /Type /Pages /Kids [2 0 R] /Count 1 >>"], "1 0 R");

const HUGE = 300 * 1024 * 1024;

/** A stream of objects that was packed twice and unpacks to more than anybody has. */
export function deflatedTwice(bytes = HUGE): Buffer {
  const packed = deflateSync(deflateSync(Buffer.alloc(bytes)));
  const head = `<< /Type /ObjStm /N 1 /First 4 /Filter [/FlateDecode /FlateDecode] /Length ${packed.length} >>\nstream\n`;
  const stream = Buffer.concat([Buffer.from(head), packed, Buffer.from("\nendstream")]);
  return pdfOf(
    [
      "<< /Type /Catalog /Pages 2 0 R >>",
      "<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
      "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 10 10] >>",
      stream,
    ],
    "1 0 R",
  );
}

/** A page whose annotation runs a program: the action stands in a dictionary of an array. */
export const programInArray = (): Buffer =>
  pdfOf(
    [
      "<< /Type /Catalog /Pages 2 0 R >>",
      "<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
      "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 10 10] /Annots [<< /Type /Annot /Subtype /Link /A << /S /URI /Next [<< /S /JavaScript /JS (app.alert\\(1\\)) >>] >> >>] >>",
    ],
    "1 0 R",
  );

const crcTable = Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});
function crc(bytes: Buffer): number {
  let c = 0xffffffff;
  for (const byte of bytes) c = (crcTable[(c ^ byte) & 0xff] ?? 0) ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}
function chunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type), data]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc(body));
  return Buffer.concat([length, body, sum]);
}

/** A small picture with so many texts in it that unpack to 10 MB each. */
export async function swollenTexts(texts = 60): Promise<Buffer> {
  const png = await sharp({ create: { width: 40, height: 40, channels: 3, background: "#88aacc" } })
    .png()
    .toBuffer();
  const packed = deflateSync(Buffer.alloc(10 * 1024 * 1024, 65));
  const text = chunk("zTXt", Buffer.concat([Buffer.from("Comment\0\0"), packed]));
  const end = png.length - 12;
  return Buffer.concat([png.subarray(0, end), ...Array.from({ length: texts }, () => text), png.subarray(end)]);
}

/** A picture of so many millions of points, of which each is the same. */
export function manyPoints(side: number): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([16, 2, 0, 0, 0], 8);
  const rows = deflateSync(Buffer.alloc(1024 * 1024));
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk("IHDR", head),
    chunk("IDAT", rows),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}
