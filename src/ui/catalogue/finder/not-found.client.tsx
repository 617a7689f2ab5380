"use client";

import { useEffect } from "react";

/** Whoever still looks at an empty list after this long has finished typing. */
const WAIT_MS = 4000;

/** Tells the office, without saying who it was, by which words nothing was found. */
export function NotFoundNote({ words, note }: { words: string; note: (words: string) => Promise<void> }) {
  useEffect(() => {
    const wait = setTimeout(() => void note(words), WAIT_MS);
    return () => clearTimeout(wait);
  }, [words, note]);
  return null;
}
