"use client";

import { type CaughtError, ErrorSheet } from "../../ui/frame/error-sheet.client";

export default function StandInError(caught: CaughtError) {
  return (
    <main className="stand-in">
      <ErrorSheet {...caught} language="en" />
    </main>
  );
}
