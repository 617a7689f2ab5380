"use client";

import { type CaughtError, ErrorSheet } from "../../ui/error-sheet.client";

export default function LinkError(caught: CaughtError) {
  return <ErrorSheet {...caught} />;
}
