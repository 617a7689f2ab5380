"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";
import { sectionKey } from "../../core/file/place";
import type { PartState } from "../../core/form/part-states";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";

/** One part of an application, as the list of parts and the press for the next one show it. */
export interface Part {
  readonly key: string;
  readonly title: string;
  readonly done: boolean;
  readonly applies: boolean;
  /** The pages on which it is the part that is shown, where there are several. */
  readonly pages?: readonly string[];
  /** The sections that it is made of, as `scope|section`: what is saved on a page tells anew how they stand. */
  readonly sections?: readonly string[];
}

interface Parts {
  readonly parts: readonly Part[];
  readonly follow: (states: readonly PartState[]) => void;
}

const PartsContext = createContext<Parts>({ parts: [], follow: () => undefined });

function asOf(part: Part, states: readonly PartState[]): Part {
  const own = states.filter((s) => part.sections?.includes(sectionKey({ scope: s.scope, section: s.key })));
  if (own.length === 0) return part;
  const asked = own.filter((s) => s.applies);
  return { ...part, applies: asked.length > 0, done: asked.every((s) => s.done) };
}

/** The parts of an application as they are now: as they were when the page came, and as what was saved since has left them. */
export function PartsProvider({ parts: loaded, children }: { parts: readonly Part[]; children: ReactNode }) {
  const [states, follow] = useState<readonly PartState[]>([]);
  // What comes from the server anew knows all that was saved.
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever the parts come anew
  useEffect(() => follow([]), [loaded]);
  const value = useMemo(() => ({ parts: loaded.map((part) => asOf(part, states)), follow }), [loaded, states]);
  return <PartsContext value={value}>{children}</PartsContext>;
}

/** Tells the list of parts how sections stand after something was saved. */
export const useFollowParts = (): Parts["follow"] => useContext(PartsContext).follow;

/** The parts that are asked for. */
export const useParts = (): readonly Part[] => useContext(PartsContext).parts.filter((part) => part.applies);

/** Below a part: on to the next one that is asked for, or to the review after the last. Nothing on pages that are no part. */
export function NextPart({ number, locale }: { number: string; locale: Locale }) {
  const path = usePathname();
  const parts = useParts();
  const here = parts.findIndex((part) => (part.pages ?? [part.key]).some((page) => path === `/my/${number}/${page}`));
  if (here < 0) return null;
  const next = parts[here + 1];
  return (
    <p className="page-foot">
      <Link className="press" href={next ? `/my/${number}/${next.key}` : `/my/${number}/review`}>
        {next ? sentence(locale, "form.next", { section: next.title }) : sentence(locale, "app.review")}
      </Link>
      <Link className="plain-button" href={`/my/${number}`}>
        {sentence(locale, "form.toOverview")}
      </Link>
    </p>
  );
}
