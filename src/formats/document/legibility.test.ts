import { PDFDocument } from "@cantoo/pdf-lib";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { inspectDocument } from "./inspect";

const [WIDTH, HEIGHT] = [1240, 1754];

/** A page of print as a scanner of 150 dots an inch makes it: bars as wide as letters, in lines. */
function page(lines: number): Promise<Buffer> {
  const bars = Array.from({ length: lines }, (_, line) =>
    Array.from(
      { length: 60 },
      (_, i) => `<rect x="${90 + i * 17}" y="${120 + line * 34}" width="${3 + ((i * 7 + line) % 5)}" height="16"/>`,
    ).join(""),
  ).join("");
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="white"/>${bars}</svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 85 }).toBuffer();
}
const paper = (sigma: number) =>
  sharp({
    create: {
      width: WIDTH,
      height: HEIGHT,
      channels: 3,
      background: "#fff",
      noise: { type: "gaussian", mean: 240, sigma },
    },
  })
    .jpeg({ quality: 85 })
    .toBuffer();
const blurred = async (lines: number, sigma: number) =>
  sharp(await page(lines))
    .blur(sigma)
    .jpeg({ quality: 85 })
    .toBuffer();

async function scan(...pictures: readonly (Buffer | null)[]): Promise<Buffer> {
  const pdf = await PDFDocument.create();
  for (const picture of pictures) {
    const made = pdf.addPage([595, 842]);
    if (picture) made.drawImage(await pdf.embedJpg(picture), { x: 0, y: 0, width: 595, height: 842 });
  }
  return Buffer.from(await pdf.save());
}
async function marksOf(bytes: Buffer, name: string) {
  const looked = await inspectDocument(bytes, name);
  return looked.verdict === "store" ? looked.marks : looked.reason;
}

describe("what can be seen of a page without reading it", () => {
  it.each([
    ["a full page", () => page(40), []],
    ["a page with one line", () => page(1), []],
    ["a page that is slightly soft", () => blurred(40, 1), []],
    ["a page that nobody reads", () => blurred(40, 4), ["blurred"]],
    ["a page with one line that nobody reads", () => blurred(1, 4), ["blurred"]],
    ["paper alone", () => paper(1), ["blank_page"]],
    ["paper alone, by a camera in bad light", () => paper(5), ["blank_page"]],
  ])("%s, as a picture and as a scan", async (_, make, marks) => {
    const picture = await make();
    expect(await marksOf(picture, "a.jpg")).toEqual(marks);
    expect(await marksOf(await scan(picture), "a.pdf")).toEqual(marks);
  });

  it("says each sign of a document once, and that its pages have too few dots", async () => {
    const small = await sharp(await page(40))
      .resize({ width: 700 })
      .jpeg()
      .toBuffer();
    const empty = await paper(1);
    expect(await marksOf(await scan(await page(40), small, empty, empty), "a.pdf")).toEqual([
      "hard_to_read",
      "blank_page",
    ]);
  });

  it("knows a page on which nothing was put, and takes none for it on which something is written or drawn", async () => {
    expect(await marksOf(await scan(null), "a.pdf")).toEqual(["blank_page"]);
    const pdf = await PDFDocument.create();
    pdf.addPage([595, 842]).drawText("One word");
    pdf.addPage([595, 842]).drawRectangle({ x: 10, y: 10, width: 100, height: 100 });
    expect(await marksOf(Buffer.from(await pdf.save()), "a.pdf")).toEqual([]);
  });

  it("leaves a picture that cannot be read to whoever opens it", async () => {
    const pdf = await scan(await page(40));
    const at = pdf.indexOf(Buffer.from([0xff, 0xd8]));
    pdf.fill(0, at + 2, at + 2000);
    expect(await marksOf(pdf, "a.pdf")).toEqual([]);
  });
});
