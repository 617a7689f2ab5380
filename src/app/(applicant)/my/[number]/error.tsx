"use client";

import { type CaughtError, ErrorSheet } from "../../../../ui/frame/error-sheet.client";

/** The parts of the application stay beside it. */
export default function ApplicationError(caught: CaughtError) {
  return <ErrorSheet {...caught} />;
}
