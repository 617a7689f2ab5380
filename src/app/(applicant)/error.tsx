"use client";

import { type CaughtError, ErrorSheet } from "../../ui/frame/error-sheet.client";

export default function ApplicantError(caught: CaughtError) {
  return (
    <div className="sheet narrow">
      <ErrorSheet {...caught} />
    </div>
  );
}
