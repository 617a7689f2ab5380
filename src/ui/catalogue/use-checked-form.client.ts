"use client";

import { useState } from "react";
import type { z } from "zod";
import { useAsking } from "../frame/unanswered.client";
import type { Said } from "./said";

export interface CheckedForm<T> {
  /** What is expected, by the path of the field that is wrong. */
  readonly wrong: Readonly<Record<string, string>>;
  readonly said: Said;
  readonly busy: boolean;
  readonly save: (draft: T) => void;
}

/**
 * A form that is checked whole by its schema before it is sent: each wrong field gets a sentence that says what is expected there.
 * @param expected the sentences, by the path of a field or by its first part
 * @param store null when it was kept, else the sentence that says why not
 * @param stored what follows once it was kept
 */
export function useCheckedForm<T>(
  schema: z.ZodType<T>,
  expected: Readonly<Record<string, string>>,
  store: (value: T) => Promise<string | null>,
  stored: (value: T) => void = () => undefined,
): CheckedForm<T> {
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const [said, setSaid] = useState<Said>(null);
  const [busy, begin] = useAsking();
  const save = (draft: T) => {
    const parsed = schema.safeParse(draft);
    if (!parsed.success) {
      const sentences = parsed.error.issues.map((issue) => {
        const path = issue.path.join(".");
        const first = String(issue.path[0]);
        return [[path, first], expected[path] ?? expected[first] ?? "Look at this again."] as const;
      });
      setWrong(Object.fromEntries(sentences.flatMap(([paths, text]) => paths.map((path) => [path, text]))));
      setSaid({ text: "Not saved: look at the marked fields.", bad: true });
      return;
    }
    setWrong({});
    begin(async () => {
      const refused = await store(parsed.data);
      setSaid(refused ? { text: refused, bad: true } : { text: "Saved.", bad: false });
      if (refused === null) stored(parsed.data);
    });
  };
  return { wrong, said, busy, save };
}
