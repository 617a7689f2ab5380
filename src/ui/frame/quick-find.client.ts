"use client";

import { useEffect, useState } from "react";
import type { QuickFound } from "../../views/turns/quick-find";

const LOOK_MS = 120;
const NOTHING: QuickFound = { files: [], programmes: [] };

/** What was found on the server for what is typed; what is found for an older word never takes the place of a newer one. */
export function useQuickFind(words: string, asks: boolean): QuickFound {
  const [found, setFound] = useState(NOTHING);
  useEffect(() => {
    const typed = words.trim();
    if (!asks || typed.length < 2) return setFound(NOTHING);
    const gone = new AbortController();
    const look = async () => {
      const answer = await fetch(`/api/quick-find?${new URLSearchParams({ words: typed })}`, { signal: gone.signal });
      setFound(answer.ok ? ((await answer.json()) as QuickFound) : NOTHING); // our own route writes it so
    };
    const soon = setTimeout(() => void look().catch(() => undefined), LOOK_MS); // a line that is away finds nothing
    return () => {
      clearTimeout(soon);
      gone.abort();
    };
  }, [words, asks]);
  return found;
}
