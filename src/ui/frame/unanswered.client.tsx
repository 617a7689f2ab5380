"use client";

import { unstable_rethrow } from "next/navigation";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useState, useTransition } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { AWAY } from "./away";

type Note = (failure: unknown) => void;

/** Without a place to say it the page itself fails, as it would without us. */
const UnansweredContext = createContext<Note>((failure) => {
  if (failure !== null) throw failure;
});

const digestOf = (failure: unknown): string | null =>
  failure instanceof Error && "digest" in failure && typeof failure.digest === "string" ? failure.digest : null;

/** What is said of a question that got no answer; null for what is no failure of one. */
function unanswered(locale: Locale, failure: unknown): string | null {
  const digest = digestOf(failure);
  if (digest?.startsWith("NEXT_")) return null;
  if (digest !== null && !digest.startsWith(AWAY)) return sentence(locale, "ask.failed", { id: digest });
  // A browser that reaches nobody says so with an error of this type.
  return digest !== null || failure instanceof TypeError ? sentence(locale, "ask.away") : null;
}

/**
 * Where a press of the page gets no answer, the page stays as it is, with all that was typed, and this is said below it: that the records
 * cannot be reached, or the number under which a defect stands in the log.
 */
export function UnansweredProvider({ locale, children }: { locale: Locale; children: ReactNode }) {
  const [said, setSaid] = useState<string | null>(null);
  const note = useCallback((failure: unknown) => setSaid(unanswered(locale, failure)), [locale]);
  useEffect(() => {
    const watch = ({ reason }: PromiseRejectionEvent) => {
      if (digestOf(reason) !== null) note(reason);
    };
    window.addEventListener("unhandledrejection", watch);
    return () => window.removeEventListener("unhandledrejection", watch);
  }, [note]);
  return (
    <UnansweredContext value={note}>
      {children}
      {said ? (
        <div role="alert" className="unanswered">
          <span>{said}</span>
          <button type="button" onClick={() => setSaid(null)}>
            {sentence(locale, "ask.close")}
          </button>
        </div>
      ) : null}
    </UnansweredContext>
  );
}

/** Asks the server from a page: busy while it does, and where no answer comes everything stays and says so. */
export function useAsking(): readonly [boolean, (ask: () => Promise<unknown>) => void] {
  const note = useContext(UnansweredContext);
  const [busy, begin] = useTransition();
  const asking = useCallback(
    (ask: () => Promise<unknown>) =>
      begin(async () => {
        try {
          await ask();
          note(null);
        } catch (failure) {
          unstable_rethrow(failure);
          note(failure);
        }
      }),
    [note],
  );
  return [busy, asking];
}
