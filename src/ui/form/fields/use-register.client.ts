"use client";

import { useEffect, useRef, useState } from "react";
import type { Suggestion } from "../../../views/standards/institutions";

const PAUSE_MS = 250;
export const LEAST_TYPED = 2;

interface Found {
  readonly typed: string;
  readonly suggestions: readonly Suggestion[];
}
const NOTHING: Found = { typed: "", suggestions: [] };

/**
 * Looks up in the register of institutions what is being typed, after a short pause; what comes for an earlier text is dropped.
 * @param country its institutions come first; "" for none
 */
export function useRegister(country: string): {
  readonly found: Found;
  readonly look: (typed: string) => void;
  readonly forget: () => void;
} {
  const [found, setFound] = useState<Found>(NOTHING);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const asked = useRef("");
  useEffect(() => () => clearTimeout(timer.current), []);
  const forget = () => {
    clearTimeout(timer.current);
    asked.current = "";
    setFound(NOTHING);
  };
  const look = (typed: string) => {
    clearTimeout(timer.current);
    asked.current = typed;
    if (typed.trim().length < LEAST_TYPED) {
      setFound(NOTHING);
      return;
    }
    timer.current = setTimeout(async () => {
      const suggestions = await fetch(`/api/institutions?${new URLSearchParams({ typed, country })}`)
        .then((r) => (r.ok ? (r.json() as Promise<readonly Suggestion[]>) : []))
        .catch(() => []); // without a line the name is simply typed
      if (asked.current === typed) setFound({ typed, suggestions });
    }, PAUSE_MS);
  };
  return { found, look, forget };
}
