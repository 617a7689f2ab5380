"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Document, Page, type pdfjs } from "react-pdf";
import { markWords, useFoundPages, useLacksName } from "./find-text.client";
import { PageStrip } from "./page-strip.client";
import { READER } from "./reader.client";
import "react-pdf/dist/Page/TextLayer.css";

const ZOOMS = [0.75, 1, 1.4, 2] as const;
/** As wide as the strip of small pages. */
const STRIP = 84;

/** The width that is there for a page. */
function useWidth() {
  const box = useRef<HTMLElement>(null);
  const [width, setWidth] = useState(520);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const watch = new ResizeObserver(() => setWidth(Math.max(200, element.clientWidth - 4)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { box, width };
}

/** Words that are looked for in the document: on which of its pages they stand, and the way from one to the next. */
function FindWords({
  words,
  found,
  page,
  onWords,
  onPage,
}: {
  words: string;
  found: ReturnType<typeof useFoundPages>;
  page: number;
  onWords: (words: string) => void;
  onPage: (page: number) => void;
}) {
  const { pages, textless } = found;
  const next = () => {
    const after = pages?.find((p) => p > page) ?? pages?.[0];
    if (after !== undefined) onPage(after);
  };
  return (
    <span className="find-words">
      <input
        type="search"
        aria-label="Find in the document"
        placeholder="Find in it"
        value={words}
        onChange={(e) => onWords(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter") next();
        }}
      />
      <span role="status" className="quiet">
        {words.trim() === ""
          ? ""
          : pages === null
            ? "reading …"
            : textless
              ? "no text in it, only pictures"
              : pages.length === 0
                ? "nowhere"
                : `on ${pages.length} ${pages.length === 1 ? "page" : "pages"}, ↵ next`}
      </span>
    </span>
  );
}

/**
 * A document in the page, or those of its pages that are meant: turned with `r`, enlarged with `z`, paged with `n` and `b`; `o` leaves a page
 * out for those who assess. Nothing in it is run.
 */
export default function DocumentViewer({
  uploadId,
  mediaType,
  name,
  firstPage = 1,
  lastPage,
  leftOut,
  leaveOut,
  names,
}: {
  uploadId: string;
  mediaType: string;
  name: string;
  firstPage?: number;
  /** The last page that is meant; all where nothing is said. */
  lastPage?: number;
  /** Pages that are left out of the copies of those who assess; null where that cannot be said. */
  leftOut?: readonly number[];
  leaveOut?: (page: number, out: boolean) => Promise<string | null>;
  /** What whoever it should be about is called; a text that carries none of it is pointed out. */
  names?: readonly string[];
}) {
  const url = `/api/documents/${uploadId}?show=1`;
  const [pdf, setPdf] = useState<pdfjs.PDFDocumentProxy | null>(null);
  const last = lastPage ?? pdf?.numPages ?? firstPage;
  const [page, setPage] = useState(firstPage);
  const [turned, setTurned] = useState(0);
  const [zoom, setZoom] = useState(1);
  const [words, setWords] = useState("");
  const { box, width } = useWidth();
  const found = useFoundPages(pdf, firstPage, last, words);
  const lacksName = useLacksName(pdf, firstPage, last, names);
  const step = (by: number) => setPage((p) => Math.max(firstPage, Math.min(last, p + by)));
  useHotkeys("n", () => step(1), [firstPage, last]);
  useHotkeys("b", () => step(-1), [firstPage, last]);
  useHotkeys("r", () => setTurned((t) => (t + 90) % 360));
  const isOut = leftOut?.includes(page) ?? false;
  const [wrong, setWrong] = useState<string | null>(null);
  const turnOut = async () => {
    if (leaveOut) setWrong(await leaveOut(page, !isOut));
  };
  useHotkeys("o", () => void turnOut(), { enabled: leaveOut !== undefined }, [page, isOut]);
  useHotkeys("z", () => setZoom((z) => (z + 1) % ZOOMS.length));
  const scale = ZOOMS[zoom] ?? 1;
  const looked = words.trim();
  const mark = useCallback(({ str }: { str: string }) => markWords(str, looked), [looked]);
  const strip = mediaType === "application/pdf" && last > firstPage;
  return (
    <div className="viewer">
      <p className="viewer-line">
        <strong>{name}</strong>
        <span className="quiet">
          {page - firstPage + 1} of {last - firstPage + 1} ·{" "}
          <button type="button" className="link-button" onClick={() => step(-1)} disabled={page === firstPage}>
            back <span className="key">b</span>
          </button>{" "}
          <button type="button" className="link-button" onClick={() => step(1)} disabled={page === last}>
            next <span className="key">n</span>
          </button>{" "}
          <button type="button" className="link-button" onClick={() => setTurned((t) => (t + 90) % 360)}>
            turn <span className="key">r</span>
          </button>{" "}
          <button type="button" className="link-button" onClick={() => setZoom((z) => (z + 1) % ZOOMS.length)}>
            size <span className="key">z</span>
          </button>
        </span>
        {mediaType === "application/pdf" ? (
          <FindWords words={words} found={found} page={page} onWords={setWords} onPage={setPage} />
        ) : null}
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region has to be reached by the keyboard */}
      <section ref={box} className="viewer-page" tabIndex={0} aria-label={`${name}, page ${page - firstPage + 1}`}>
        {mediaType === "application/pdf" ? (
          <Document
            file={url}
            options={READER}
            className={strip ? "with-strip" : null}
            loading={<p className="quiet">Opening the document …</p>}
            error={<p className="wrong">This document cannot be shown here. Download it instead.</p>}
            onLoadSuccess={setPdf}
            externalLinkTarget="_blank"
          >
            {strip ? (
              <PageStrip first={firstPage} last={last} page={page} found={found.pages ?? []} onChoose={setPage} />
            ) : null}
            <Page
              pageNumber={page}
              width={(width - (strip ? STRIP : 0)) * scale}
              rotate={turned || null}
              renderAnnotationLayer={false}
              {...(looked === "" ? {} : { customTextRenderer: mark })}
            />
          </Document>
        ) : (
          // biome-ignore lint/performance/noImgElement: a private document, served once, not an image of the site
          <img src={url} alt={name} style={{ width: width * scale, transform: `rotate(${turned}deg)` }} />
        )}
      </section>
      <p className="viewer-foot">
        <a href={`/api/documents/${uploadId}`}>Download</a>
        {leaveOut ? (
          <>
            {" "}
            <span className="quiet">·</span>{" "}
            <button type="button" className="link-button" onClick={() => void turnOut()}>
              {isOut ? "put this page back for those who assess" : "leave this page out for those who assess"}{" "}
              <span className="key">o</span>
            </button>
          </>
        ) : null}{" "}
        {leftOut && leftOut.length > 0 ? (
          <span className="quiet">
            · left out of their copies: {leftOut.length === 1 ? "page" : "pages"} {leftOut.join(", ")}
          </span>
        ) : null}
        {lacksName ? (
          <span role="status" className="sign">
            · Its text carries none of the applicant’s names.
          </span>
        ) : null}
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </p>
    </div>
  );
}
