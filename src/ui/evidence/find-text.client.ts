"use client";

import { useEffect, useMemo, useState } from "react";
import type { pdfjs } from "react-pdf";
import { carriesName } from "../../core/evidence/carries-name";

type Pdf = pdfjs.PDFDocumentProxy;

/** Letters without their marks, in small letters, one for each: so that a place in it is a place in the text. */
const folded = (text: string): string =>
  [...text].map((letter) => letter.normalize("NFD").charAt(0).toLowerCase()).join("");

const escaped = (text: string): string =>
  text.replace(/&/gu, "&amp;").replace(/</gu, "&lt;").replace(/>/gu, "&gt;").replace(/"/gu, "&quot;");

/** Marks each place in a piece of text at which words stand, whatever their accents and capitals. */
export function markWords(text: string, words: string): string {
  const letters = [...text];
  const [within, wanted] = [folded(text), folded(words)];
  if (wanted === "" || within.length !== letters.length) return escaped(text);
  let marked = "";
  let from = 0;
  for (let at = within.indexOf(wanted); at >= 0; at = within.indexOf(wanted, from)) {
    marked += `${escaped(letters.slice(from, at).join(""))}<mark>${escaped(letters.slice(at, at + wanted.length).join(""))}</mark>`;
    from = at + wanted.length;
  }
  return marked + escaped(letters.slice(from).join(""));
}

async function textOf(pdf: Pdf, page: number): Promise<string> {
  const { items } = await (await pdf.getPage(page)).getTextContent();
  return items.map((item) => ("str" in item ? item.str : "")).join(" ");
}

/** So many pages are read for a name: it stands on the first ones, if anywhere. */
const PAGES_FOR_NAME = 10;

/** Whether the text of a document carries none of somebody's names; false while it is read, and where it has too little text to say. */
export function useLacksName(
  pdf: Pdf | null,
  first: number,
  last: number,
  names: readonly string[] | undefined,
): boolean {
  const [lacks, setLacks] = useState(false);
  const all = names?.join("\n");
  useEffect(() => {
    if (!pdf || !all) return;
    let here = true;
    const pages = Math.min(PAGES_FOR_NAME, last - first + 1);
    void Promise.all(Array.from({ length: pages }, (_, i) => textOf(pdf, first + i))).then(
      (texts) => here && setLacks(carriesName(texts.join(" "), all.split("\n")) === false),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [pdf, first, last, all]);
  return lacks;
}

/**
 * Finds words in the text of a document, once somebody looks for any.
 * @returns the pages on which they stand; `null` while the text is read; `textless` where no page has any
 */
export function useFoundPages(
  pdf: Pdf | null,
  first: number,
  last: number,
  words: string,
): { readonly pages: readonly number[] | null; readonly textless: boolean } {
  const [texts, setTexts] = useState<readonly string[] | null>(null);
  const looks = words.trim() !== "";
  useEffect(() => {
    if (!pdf || !looks || texts !== null) return;
    let here = true;
    const all = Array.from({ length: last - first + 1 }, (_, i) => textOf(pdf, first + i));
    void Promise.all(all).then(
      (read) => here && setTexts(read.map(folded)),
      () => here && setTexts([]),
    );
    return () => {
      here = false;
    };
  }, [pdf, looks, texts, first, last]);
  return useMemo(() => {
    if (texts === null) return { pages: looks && pdf ? null : [], textless: false };
    const wanted = folded(words.trim());
    const pages = texts.flatMap((text, i) => (wanted !== "" && text.includes(wanted) ? [first + i] : []));
    return { pages, textless: texts.every((text) => text.trim() === "") };
  }, [texts, words, first, looks, pdf]);
}
