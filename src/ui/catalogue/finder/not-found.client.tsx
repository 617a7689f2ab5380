"use client";

import { useEffect } from "react";

/** Whoever still looks at an empty list after this long has finished typing. */
const WAIT_MS = 4000;

/** Tells the office, without saying who it was, by which words, and at which place, nothing was found. */
export function NotFoundNote({
  words,
  campus,
  note,
}: {
  words: string;
  campus: string | null;
  note: (words: string, campus: string | null) => Promise<void>;
}) {
  useEffect(() => {
    const wait = setTimeout(() => void note(words, campus), WAIT_MS);
    return () => clearTimeout(wait);
  }, [words, campus, note]);
  return null;
}
