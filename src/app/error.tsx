"use client";

import { type CaughtError, ErrorSheet } from "../ui/frame/error-sheet.client";

export default function ErrorPage(caught: CaughtError) {
  return (
    <main className="sheet narrow">
      <ErrorSheet {...caught} />
    </main>
  );
}
