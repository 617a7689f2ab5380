"use client";

import { type CaughtError, ErrorSheet } from "../../ui/frame/error-sheet.client";

export default function LinkError(caught: CaughtError) {
  return <ErrorSheet {...caught} />;
}
