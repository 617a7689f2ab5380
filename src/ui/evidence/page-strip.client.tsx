"use client";

import { useEffect, useRef, useState } from "react";
import { Page, type pdfjs } from "react-pdf";

/** A small picture of a page, drawn once it comes into view. */
export function SmallPage({
  page,
  width,
  pdf,
}: {
  page: number;
  width: number;
  /** The document, where it is not the one around. */
  pdf?: pdfjs.PDFDocumentProxy;
}) {
  const box = useRef<HTMLSpanElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    const element = box.current;
    if (!element || near) return;
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) setNear(true);
      },
      { rootMargin: "200px" },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [near]);
  return (
    <span ref={box} className="small-page" style={{ width, minHeight: Math.round(width * 1.41) }}>
      {near ? (
        <Page
          {...(pdf ? { pdf } : {})}
          pageNumber={page}
          width={width}
          loading=""
          error=""
          renderTextLayer={false}
          renderAnnotationLayer={false}
        />
      ) : null}
    </span>
  );
}

/** The pages of a document, small, one under the other; the one that is shown is marked, and one that was found in. */
export function PageStrip({
  first,
  last,
  page,
  found,
  onChoose,
}: {
  first: number;
  last: number;
  page: number;
  found: readonly number[];
  onChoose: (page: number) => void;
}) {
  const here = useRef<HTMLButtonElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it follows the page
  useEffect(() => {
    here.current?.scrollIntoView({ block: "nearest" });
  }, [page]);
  return (
    <nav className="page-strip" aria-label="Pages">
      {Array.from({ length: last - first + 1 }, (_, i) => first + i).map((p) => (
        <button
          key={p}
          ref={p === page ? here : null}
          type="button"
          aria-current={p === page ? "page" : undefined}
          aria-label={`Page ${p - first + 1}${found.includes(p) ? ", found here" : ""}`}
          data-found={found.includes(p)}
          onClick={() => onChoose(p)}
        >
          <SmallPage page={p} width={58} />
          <span>{p - first + 1}</span>
        </button>
      ))}
    </nav>
  );
}
