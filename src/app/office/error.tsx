"use client";

import Link from "next/link";
import { type CaughtError, ErrorSheet } from "../../ui/frame/error-sheet.client";

/** The head stays, with its words and the find field. */
export default function OfficeError(caught: CaughtError) {
  return (
    <div className="office-sheet">
      <ErrorSheet {...caught} language="en">
        <Link href="/office">To the turns</Link>
      </ErrorSheet>
    </div>
  );
}
