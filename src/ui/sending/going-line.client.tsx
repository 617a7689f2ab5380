"use client";

import { Progress } from "antd";
import { useCallback, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";

/** How far a file is on its way, and whether it waits for the line to come back. */
export interface Going {
  readonly percent: number;
  readonly waits: boolean;
}

/** What is on its way from this place; null where nothing is. */
export function useGoing() {
  const [going, setGoing] = useState<Going | null>(null);
  const onProgress = useCallback((percent: number, waits: boolean) => setGoing({ percent, waits }), []);
  return { going, onProgress, end: useCallback(() => setGoing(null), []) };
}

/** Shows it. */
export function GoingLine({ going, locale }: { going: Going | null; locale: Locale }) {
  if (!going) return null;
  const { percent, waits } = going;
  return (
    <>
      <Progress percent={percent} size="small" aria-label={sentence(locale, "doc.uploading", { percent })} />
      {waits ? (
        <p role="status" className="quiet">
          {sentence(locale, "doc.waiting")}
        </p>
      ) : null}
    </>
  );
}

/** The same in a word, on the press itself, for the office. */
export const goingText = (going: Going | null): string | null =>
  going && (going.waits ? `The line is broken, waiting at ${going.percent} % …` : `Sending … ${going.percent} %`);
