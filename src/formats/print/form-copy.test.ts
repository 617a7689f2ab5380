import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { describe, expect, it } from "vitest";
import type { FormCopy } from "../../core/form/form-copy";
import { printable } from "./fonts";
import { printFormCopy } from "./form-copy";

const pair = (label: string, value: string) => ({ label, value, long: value.length > 90 });
const copyOf = (...values: string[]): FormCopy => ({
  title: "MSc Estuary Science",
  under: "No. 27-00001",
  parts: [
    {
      title: null,
      sections: [
        {
          key: "person",
          title: "You",
          table: null,
          entries: [{ id: "", title: null, pairs: values.map((v, i) => pair(`Line ${i}`, v)) }],
          empty: values.length === 0 ? "There is none" : null,
        },
      ],
    },
  ],
  annexes: [{ title: "Documents", lines: [{ what: "Passport", words: ["passport.pdf"] }] }],
  foot: "page {page} of {pages}",
});
const MADE = new Date("2026-11-25T09:00:00Z");

/** The text of each page, as a reader that searches the PDF finds it. */
async function pagesOf(copy: FormCopy): Promise<readonly string[]> {
  const document = await getDocument({ data: await printFormCopy(copy, "en", MADE), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let no = 1; no <= document.numPages; no += 1) {
    const { items } = await (await document.getPage(no)).getTextContent();
    pages.push(items.map((item) => ("str" in item ? item.str : "")).join(" "));
  }
  return pages;
}

describe("a form in print", () => {
  it.each([
    ["Latin with marks", "Zażółć Nguyễn"],
    ["Cyrillic and Greek", "Жук Ωμέγα"],
    ["Arabic", "محمد"],
    ["Hebrew", "שלום"],
    ["Devanagari", "नमस"],
    ["Thai", "สวสด"],
    ["Chinese and Japanese", "王小明さくら"],
    ["Korean", "김철수"],
  ])("carries %s", async (_, text) => {
    const page = (await pagesOf(copyOf(text))).join("").normalize("NFKC");
    for (const letter of text.replaceAll(" ", "")) expect(page).toContain(letter);
  });

  it("runs over as many pages as its answers need", async () => {
    const long = "A sentence that goes on for a while, as sentences in statements do. ".repeat(60);
    const pages = await pagesOf(copyOf(long, long, long, long));
    expect(pages.length).toBeGreaterThan(3);
    for (const [i, page] of pages.entries()) expect(page).toContain(`page ${i + 1} of ${pages.length}`);
  });

  it.each([
    ["control signs", "a\u0000b\u0007c\u001fd", "a b c d"],
    ["line breaks", "one\ntwo", "one\ntwo"],
    ["letters that no font has", "wave \u{1F30A}, \u{13000}", "wave \u25a1, \u25a1"],
    ["marks and signs that join", "n\u0303 a\u200db", "n\u0303 a\u200db"],
  ])("%s", (_, text, expected) => expect(printable(text)).toBe(expected));
});
