"use client";

import { useEffect, useState } from "react";

/** What is being written stays when the page is left or loaded anew, until it was sent. @param name what tells it from other texts */
export function useKeptText(name: string): readonly [text: string, set: (text: string) => void] {
  const key = `written ${name}`;
  const [text, setText] = useState("");
  useEffect(() => {
    const kept = sessionStorage.getItem(key);
    if (kept) setText(kept);
  }, [key]);
  const set = (next: string) => {
    setText(next);
    if (next === "") sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, next);
  };
  return [text, set];
}
