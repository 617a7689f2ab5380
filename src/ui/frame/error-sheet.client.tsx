"use client";

import { useRouter } from "next/navigation";
import { type ReactNode, startTransition } from "react";
import type { Locale } from "../../core/text/local-text";
import { en } from "../../text/sentences/en";
import { fr } from "../../text/sentences/fr";
import { AWAY } from "./away";

export interface CaughtError {
  readonly error: Error & { readonly digest?: string };
  readonly reset: () => void;
}

/** A defect inside its part of the site: the frame around it stays usable, the number leads to the log, and one press tries again. */
export function ErrorSheet({
  error,
  reset,
  language,
  children,
}: CaughtError & {
  /** That of the page where nothing is said. */
  readonly language?: Locale;
  /** Another way on. */
  readonly children?: ReactNode;
}) {
  const router = useRouter();
  const page = typeof document !== "undefined" && document.documentElement.lang === "fr" ? "fr" : "en";
  const text = (language ?? page) === "fr" ? fr : en;
  const isAway = error.digest?.startsWith(AWAY) === true;
  const again = () =>
    startTransition(() => {
      router.refresh();
      reset();
    });
  return (
    <div role="alert">
      <h1>{text[isAway ? "error.awayTitle" : "error.title"]}</h1>
      <p>{isAway ? text["error.awayText"] : text["error.text"].replace("{id}", error.digest ?? "—")}</p>
      <p className="presses">
        <button type="button" className="plain-button" onClick={again}>
          {text["error.again"]}
        </button>{" "}
        {children}
      </p>
    </div>
  );
}
