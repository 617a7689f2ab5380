import { readFileSync } from "node:fs";
import path from "node:path";
import { PDFDocument, type PDFFont, type PDFPage, rgb, StandardFonts } from "@cantoo/pdf-lib";
import * as fontkit from "fontkit";
import sharp from "sharp";
import type { Picture } from "../core/rulebook/requirement";
import type { Profile } from "./profile";
import { zoneLines } from "./zone-lines";

/** Real PDF documents for the demo's invented people, made the same way every time. */
const FONTS = path.join(process.cwd(), "node_modules/@expo-google-fonts/noto-sans");
const A4: [number, number] = [595, 842];
const INK = rgb(0.11, 0.14, 0.19);
const LINE = rgb(0.75, 0.72, 0.66);

interface Sheet {
  readonly document: PDFDocument;
  readonly plain: PDFFont;
  readonly bold: PDFFont;
}

/** What the fonts that every PDF reader has can write; a document with other letters carries its own font, which costs a third of a second. */
const PLAIN_LETTERS = /^[\u0020-\u007e\u00a0-\u00ff\u2013\u2014\u2018\u2019\u201c\u201d\u2026]*$/u;

async function sheet(title: string, madeOn: Date, words: unknown): Promise<Sheet> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  document.setCreationDate(madeOn);
  document.setModificationDate(madeOn);
  if (PLAIN_LETTERS.test(JSON.stringify(words)))
    return {
      document,
      plain: await document.embedFont(StandardFonts.Helvetica),
      bold: await document.embedFont(StandardFonts.HelveticaBold),
    };
  document.registerFontkit(fontkit);
  const font = (name: string) => document.embedFont(readFileSync(path.join(FONTS, name)), { subset: true });
  return {
    document,
    plain: await font("400Regular/NotoSans_400Regular.ttf"),
    bold: await font("700Bold/NotoSans_700Bold.ttf"),
  };
}

function heading({ bold, plain }: Sheet, page: PDFPage, title: string, under: string): void {
  page.drawText(title, { x: 60, y: 770, size: 18, font: bold, color: INK });
  page.drawText(under, { x: 60, y: 748, size: 10, font: plain, color: INK });
  page.drawLine({ start: { x: 60, y: 736 }, end: { x: 535, y: 736 }, thickness: 0.7, color: LINE });
}

function rows(made: Sheet, page: PDFPage, pairs: readonly (readonly [string, string])[], top = 700): void {
  pairs.forEach(([label, value], i) => {
    page.drawText(label, { x: 60, y: top - i * 26, size: 9, font: made.plain, color: INK });
    page.drawText(value, { x: 220, y: top - i * 26, size: 12, font: made.bold, color: INK });
  });
}

function wrap(text: string, font: PDFFont, size: number, width: number): readonly string[] {
  const lines: string[] = [];
  let line = "";
  for (const word of text.split(" ")) {
    const longer = line === "" ? word : `${line} ${word}`;
    if (font.widthOfTextAtSize(longer, size) > width && line !== "") {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}

function paragraphs(made: Sheet, page: PDFPage, text: string, top: number): void {
  let y = top;
  for (const paragraph of text.split("\n")) {
    for (const line of wrap(paragraph, made.plain, 11, 475)) {
      page.drawText(line, { x: 60, y, size: 11, font: made.plain, color: INK });
      y -= 17;
    }
    y -= 8;
  }
}

const fullName = (p: Profile) => [p.given, p.family].filter(Boolean).join(" ");

export async function passport(p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet("Passport", madeOn, p);
  const page = made.document.addPage([A4[1], A4[0]]);
  page.drawRectangle({
    x: 60,
    y: 60,
    width: 720,
    height: 470,
    borderColor: LINE,
    borderWidth: 1,
    color: rgb(0.97, 0.96, 0.93),
  });
  page.drawText("PASSPORT · SPECIMEN", { x: 90, y: 480, size: 16, font: made.bold, color: INK });
  page.drawRectangle({ x: 90, y: 230, width: 170, height: 220, color: rgb(0.87, 0.85, 0.8) });
  page.drawCircle({ x: 175, y: 375, size: 38, color: rgb(0.62, 0.6, 0.55) });
  page.drawEllipse({ x: 175, y: 275, xScale: 62, yScale: 45, color: rgb(0.62, 0.6, 0.55) });
  const shown: readonly (readonly [string, string])[] = [
    ["Surname", p.family],
    ["Given names", p.given || "—"],
    ["Nationality", p.citizenships[0] ?? ""],
    ["Date of birth", p.birthDate],
    ["Place of birth", p.birthPlace],
    ["Number", p.passportNumber],
    ["Date of expiry", p.passportOnPaper ?? p.passportExpiry],
  ];
  shown.forEach(([label, value], i) => {
    page.drawText(label, { x: 300, y: 445 - i * 34, size: 9, font: made.plain, color: INK });
    page.drawText(value, { x: 420, y: 445 - i * 34, size: 14, font: made.bold, color: INK });
  });
  const typed = await made.document.embedFont(StandardFonts.Courier);
  zoneLines(p).forEach((line, i) => {
    page.drawText(line, { x: 90, y: 140 - i * 28, size: 22, font: typed, color: INK });
  });
  return Buffer.from(await made.document.save());
}

export async function permit(p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet("Residence permit", madeOn, p);
  const page = made.document.addPage(A4);
  heading(made, page, `Country of residence: ${p.residence}`, "Residence permit");
  rows(made, page, [
    ["Surname", p.family],
    ["Given names", p.given || "—"],
    ["Date of birth", p.birthDate],
    ["Nationality", p.citizenships.join(", ")],
    ["Kind of permit", "permanent right of residence"],
  ]);
  return Buffer.from(await made.document.save());
}

export async function certificate(p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet("Degree certificate", madeOn, p);
  const page = made.document.addPage(A4);
  const done = p.degree.status === "completed";
  heading(made, page, p.degree.institution, done ? "Certificate of award" : "Confirmation of an expected award");
  rows(made, page, [
    ["This certifies that", fullName(p)],
    ["born on", p.birthDate],
    [done ? "was awarded the degree" : "is expected to be awarded", p.degree.title],
    [done ? "on" : "by", p.degree.end],
    ["Final grade", p.degree.grade ?? "not yet determined"],
    ["Language of teaching", p.degree.language],
  ]);
  return Buffer.from(await made.document.save());
}

const COURSES_A_PAGE = 26;

export async function transcript(p: Profile, madeOn: Date, pagesMissing = false): Promise<Buffer> {
  const made = await sheet("Transcript of records", madeOn, p);
  const all = p.courses;
  for (let from = 0; from < all.length; from += COURSES_A_PAGE) {
    const page = made.document.addPage(A4);
    heading(
      made,
      page,
      `${p.degree.institution} · Academic record`,
      `${fullName(p)} · ${p.degree.title} · page ${from / COURSES_A_PAGE + 1}`,
    );
    page.drawText("Course", { x: 60, y: 716, size: 9, font: made.bold, color: INK });
    page.drawText("Credits", { x: 390, y: 716, size: 9, font: made.bold, color: INK });
    page.drawText("Grade", { x: 470, y: 716, size: 9, font: made.bold, color: INK });
    all.slice(from, from + COURSES_A_PAGE).forEach((course, i) => {
      const y = 696 - i * 23;
      page.drawText(course.title, { x: 60, y, size: 10.5, font: made.plain, color: INK });
      page.drawText(course.credits, { x: 390, y, size: 10.5, font: made.plain, color: INK });
      page.drawText(course.grade ?? (course.status === "completed" ? "passed" : "running"), {
        x: 470,
        y,
        size: 10.5,
        font: made.plain,
        color: INK,
      });
      page.drawLine({ start: { x: 60, y: y - 7 }, end: { x: 535, y: y - 7 }, thickness: 0.4, color: LINE });
    });
    if (pagesMissing) break;
  }
  return Buffer.from(await made.document.save());
}

export async function motivation(p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet("Letter of motivation", madeOn, p);
  const page = made.document.addPage(A4);
  heading(made, page, "Letter of motivation", fullName(p));
  paragraphs(made, page, p.motivation, 700);
  return Buffer.from(await made.document.save());
}

export async function englishProof(p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet("Proof of English", madeOn, p);
  const page = made.document.addPage(A4);
  if (p.english.way === "taught") {
    heading(made, page, p.degree.institution, "Certificate of teaching in English");
    paragraphs(
      made,
      page,
      `This certifies that the programme ${p.degree.title}, followed by ${fullName(p)}, is taught entirely in English.`,
      700,
    );
  } else {
    heading(made, page, p.english.test === "het" ? "Harbour English Test" : "Keel Language Examination", "Test report");
    rows(made, page, [
      ["Candidate", fullName(p)],
      ["Day of the test", p.english.date],
      ...Object.entries(p.english.scores ?? {}).map(([part, score]) => [`Part ${part}`, score] as const),
    ]);
  }
  return Buffer.from(await made.document.save());
}

export async function letterOfReference(p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet("Reference", madeOn, p);
  const page = made.document.addPage(A4);
  heading(made, page, `Reference for ${fullName(p)}`, `${p.referee.name} · ${p.referee.institution}`);
  paragraphs(made, page, p.referee.words, 700);
  return Buffer.from(await made.document.save());
}

const FORM_MADE = new Date("2026-09-01T09:00:00Z");
const REPORT_LINES = [
  "Name of the pupil",
  "School, town and country",
  "School year, from and to",
  "Biology: mark, and the best mark possible",
  "Mathematics: mark, and the best mark possible",
  "Physics or chemistry: mark, and the best mark possible",
  "English: mark, and the best mark possible",
  "Days absent",
  "Remarks",
  "Head of school: name, stamp, signature, date",
] as const;
const TAUGHT_LINES = [
  "Name of the pupil, student or employee",
  "School or employer, town and country",
  "From and to, by month and year",
  "Subjects that were taught in English, or the work that was done in English",
  "Subjects that were taught in another language, and which",
  "Language of the leaving examination",
  "Name and office of whoever states this",
  "How we can reach you to ask",
  "Stamp, signature, date",
] as const;

/** A form to be filled in by hand: the same bytes every time. */
async function blankForm(title: string, under: string, lines: readonly string[]): Promise<Buffer> {
  const made = await sheet(`${title} form`, FORM_MADE, lines);
  const page = made.document.addPage(A4);
  heading(made, page, title, under);
  lines.forEach((label, i) => {
    const y = 700 - i * 60;
    page.drawText(label, { x: 60, y, size: 10, font: made.plain, color: INK });
    page.drawLine({ start: { x: 60, y: y - 34 }, end: { x: 535, y: y - 34 }, thickness: 0.5, color: LINE });
  });
  return Buffer.from(await made.document.save());
}

export const schoolReportForm = (): Promise<Buffer> =>
  blankForm(
    "School report",
    "Merrow Institute of Coast and Water · Foundation Year · to be filled in by the school",
    REPORT_LINES,
  );

/** What a school or an employer states for an exemption from the proof of English. */
export const taughtInEnglishForm = (): Promise<Buffer> =>
  blankForm(
    "Taught or working in English",
    "Merrow Institute of Coast and Water · to be filled in by the school or the employer",
    TAUGHT_LINES,
  );

/** A sheet of any kind, which says whose it is and what it stands for. */
export async function paper(title: string, p: Profile, madeOn: Date): Promise<Buffer> {
  const made = await sheet(title, madeOn, p);
  const page = made.document.addPage(A4);
  heading(made, page, title, `${fullName(p)} · specimen`);
  rows(made, page, [
    ["Name", fullName(p)],
    ["Date of birth", p.birthDate],
    ["Place of birth", p.birthPlace],
  ]);
  return Buffer.from(await made.document.save());
}

/** A drawn picture of the size that is asked for: a head and shoulders where it is upright, a pen's stroke where it is not. */
export function picture({ width, height }: Picture): Promise<Buffer> {
  const upright = `<ellipse cx="50" cy="42" rx="17" ry="22" fill="#c9a383"/><path d="M12 100 Q50 58 88 100Z" fill="#3d5a6c"/>`;
  const stroke = `<path d="M8 62 C20 18 30 96 42 48 S62 30 70 58 S84 66 92 40" fill="none" stroke="#1c2430" stroke-width="2"/>`;
  const drawn = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" width="${width}" height="${height}" preserveAspectRatio="none">
    <rect width="100" height="100" fill="#f2efe8"/>${height > width ? upright : stroke}</svg>`;
  return sharp(Buffer.from(drawn)).png().toBuffer();
}

/** Several documents in one file, as somebody puts them into a scanner one after the other. */
export async function bundle(...documents: readonly Buffer[]): Promise<Buffer> {
  const [first, ...more] = documents;
  if (!first) throw new Error("a bundle holds at least one document");
  const made = await PDFDocument.load(first, { updateMetadata: false });
  for (const bytes of more) {
    const from = await PDFDocument.load(bytes, { updateMetadata: false });
    for (const page of await made.copyPages(from, from.getPageIndices())) made.addPage(page);
  }
  return Buffer.from(await made.save());
}
