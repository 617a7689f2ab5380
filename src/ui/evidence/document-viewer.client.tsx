"use client";

import { useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Document, Page, pdfjs } from "react-pdf";
import "react-pdf/dist/Page/TextLayer.css";

// One reader for all documents of the page, which is never ended: ending it with the document that is left would leave the
// next one without a reader.
const READER = {
  verbosity: pdfjs.VerbosityLevel.ERRORS,
  worker: pdfjs.PDFWorker.create({
    port: new Worker(new URL("../workers/document-reader.ts", import.meta.url), { type: "module" }),
    verbosity: pdfjs.VerbosityLevel.ERRORS,
  }),
};

const ZOOMS = [0.75, 1, 1.4, 2] as const;

/** A document in the page: turned with `r`, enlarged with `z`, paged with `n` and `b`; `o` leaves a page out for those who assess. Nothing in it is run. */
export default function DocumentViewer({
  uploadId,
  mediaType,
  name,
  leftOut,
  leaveOut,
}: {
  uploadId: string;
  mediaType: string;
  name: string;
  /** Pages that are left out of the copies of those who assess; null where that cannot be said. */
  leftOut?: readonly number[];
  leaveOut?: (page: number, out: boolean) => Promise<string | null>;
}) {
  const url = `/api/documents/${uploadId}?show=1`;
  const [pages, setPages] = useState(1);
  const [page, setPage] = useState(1);
  const [turned, setTurned] = useState(0);
  const [zoom, setZoom] = useState(1);
  const box = useRef<HTMLElement>(null);
  const [width, setWidth] = useState(520);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const watch = new ResizeObserver(() => setWidth(Math.max(280, element.clientWidth - 4)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const step = (by: number) => setPage((p) => Math.max(1, Math.min(pages, p + by)));
  useHotkeys("n", () => step(1), [pages]);
  useHotkeys("b", () => step(-1), [pages]);
  useHotkeys("r", () => setTurned((t) => (t + 90) % 360));
  const isOut = leftOut?.includes(page) ?? false;
  const [wrong, setWrong] = useState<string | null>(null);
  const turnOut = async () => {
    if (leaveOut) setWrong(await leaveOut(page, !isOut));
  };
  useHotkeys("o", () => void turnOut(), { enabled: leaveOut !== undefined }, [page, isOut]);
  useHotkeys("z", () => setZoom((z) => (z + 1) % ZOOMS.length));
  const scale = ZOOMS[zoom] ?? 1;
  return (
    <div className="viewer">
      <p className="viewer-line">
        <strong>{name}</strong>
        <span className="quiet">
          page {page} of {pages} · {Math.round(scale * 100)} % ·{" "}
          <button type="button" className="link-button" onClick={() => step(-1)} disabled={page === 1}>
            back <span className="key">b</span>
          </button>{" "}
          <button type="button" className="link-button" onClick={() => step(1)} disabled={page === pages}>
            next <span className="key">n</span>
          </button>{" "}
          <button type="button" className="link-button" onClick={() => setTurned((t) => (t + 90) % 360)}>
            turn <span className="key">r</span>
          </button>{" "}
          <button type="button" className="link-button" onClick={() => setZoom((z) => (z + 1) % ZOOMS.length)}>
            size <span className="key">z</span>
          </button>
        </span>
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region has to be reached by the keyboard */}
      <section ref={box} className="viewer-page" tabIndex={0} aria-label={`${name}, page ${page}`}>
        {mediaType === "application/pdf" ? (
          <Document
            file={url}
            options={READER}
            loading={<p className="quiet">Opening the document …</p>}
            error={<p className="wrong">This document cannot be shown here. Download it instead.</p>}
            onLoadSuccess={({ numPages }) => setPages(numPages)}
            externalLinkTarget="_blank"
          >
            <Page pageNumber={page} width={width * scale} rotate={turned || null} renderAnnotationLayer={false} />
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
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </p>
    </div>
  );
}
