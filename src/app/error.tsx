"use client";

import { en } from "../text/en";
import { fr } from "../text/fr";

/** A defect: the person sees its number and keeps what they typed (unsent fields wait in the browser). */
export default function ErrorPage({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const text = typeof document !== "undefined" && document.documentElement.lang === "fr" ? fr : en;
  return (
    <main className="sheet narrow">
      <h1>{text["error.title"]}</h1>
      <p>{text["error.text"].replace("{id}", error.digest ?? "—")}</p>
      <p>
        <button type="button" className="plain-button" onClick={reset}>
          {text["error.again"]}
        </button>
      </p>
    </main>
  );
}
