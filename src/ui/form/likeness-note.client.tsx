"use client";

import { useEffect, useState } from "react";
import type { AnswerPlace } from "../../core/file/place";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import type { WriterLikeness } from "../../views/statements/likeness";

export type LookForLikeness = (place: Omit<AnswerPlace, "entry">, text: string) => Promise<WriterLikeness | null>;

/** Where a statement stands as it was left: what of it stands in statements that others handed in, said before it is submitted. */
export function LikenessNote({
  place: { scope, section, field },
  text,
  locale,
  look,
}: {
  place: AnswerPlace;
  /** As it was left; what is still being typed is not looked at. */
  text: string;
  locale: Locale;
  look: LookForLikeness;
}) {
  const [found, setFound] = useState<WriterLikeness | null>(null);
  useEffect(() => {
    let over = false;
    if (text.trim() === "") setFound(null);
    else
      look({ scope, section, field }, text).then(
        (seen) => {
          if (!over) setFound(seen);
        },
        () => undefined, // the line is down: it is looked at again when the field is left again
      );
    return () => {
      over = true;
    };
  }, [look, scope, section, field, text]);
  return (
    <div className="likeness-note" aria-live="polite">
      <p className="help">{sentence(locale, "likeness.ownWords")}</p>
      {found && found.words > 0 ? (
        <div className="doubt">
          <p>{sentence(locale, "likeness.found", { words: found.words })}</p>
          <ul>
            {found.passages.map((passage) => (
              <li key={passage}>“{passage.replace(/\s+/gu, " ")}”</li>
            ))}
          </ul>
          <p>{sentence(locale, "likeness.todo")}</p>
        </div>
      ) : null}
    </div>
  );
}
