"use client";

import dynamic from "next/dynamic";

/** The viewer of documents, which is loaded where one is shown. */
export const DocumentViewer = dynamic(() => import("./document-viewer.client"), {
  ssr: false,
  // As large as what comes, so that nothing moves when it is there.
  loading: () => (
    <div className="viewer">
      <p className="viewer-line quiet">Opening the document …</p>
      <div className="viewer-page" />
      <p className="viewer-foot" />
    </div>
  ),
});

/** And what sorts their pages, and puts them together. */
export const SortPages = dynamic(() => import("./sort-pages.client"), { ssr: false });
export const JoinPages = dynamic(() => import("./join-pages.client"), { ssr: false });
