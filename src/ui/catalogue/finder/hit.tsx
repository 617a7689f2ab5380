import Link from "next/link";
import { programmeName } from "../../../core/catalogue/programme";
import type { Locale } from "../../../core/text/local-text";
import { sentence } from "../../../text/sentence";
import type { ClosedProgramme } from "../../../views/application/closed-to-me";
import type { FinderHit } from "../../../views/catalogue/finder";
import { Deadlines, programmeLine } from "../programme";
import { ClosedNote } from "./closed-note";

/** What tells two similar programmes apart, as a sentence. */
export function AlikeNotes({ hit, language }: { hit: FinderHit; language: Locale }) {
  return hit.alike.map((other) => (
    <p key={other.code} className="not-the-same">
      {sentence(language, "finder.alike", {
        programme: `${programmeName(other, language)} (${other.code})`,
        by: other.by.map((by) => sentence(language, `finder.by.${by}`)).join(", "),
      })}
    </p>
  ));
}

/** One programme in the finder's list. */
export function Hit({
  hit,
  zone,
  office,
  person,
  closed,
  language,
}: {
  hit: FinderHit;
  zone: string;
  office: string;
  /** What the visitor says of themselves, for the links. */
  person: string;
  /** Why the reader cannot choose it, where that is known. */
  closed: ClosedProgramme | undefined;
  language: Locale;
}) {
  const { round } = hit;
  return (
    <article className="hit" data-state={round.state}>
      <div className="hit-what">
        <h2>
          <Link href={`/programmes/${hit.code}${person}`} prefetch={false}>
            {programmeName(hit, language)}
          </Link>{" "}
          <span className="code">{hit.code}</span>
        </h2>
        <p className="quiet">{programmeLine(hit, language)}</p>
        {hit.partner ? (
          <p className="quiet">{sentence(language, "finder.partner", { partner: hit.partner, office })}</p>
        ) : null}
        <p className="measure">{hit.description[language]}</p>
        <ClosedNote closed={closed} language={language} />
        <AlikeNotes hit={hit} language={language} />
      </div>
      <div className="hit-when">
        <p className="state">{sentence(language, `finder.state.${round.state}`)}</p>
        <Deadlines round={round} zone={zone} language={language} />
        <label className="tick">
          <input type="checkbox" name="code" value={hit.code} /> {sentence(language, "finder.compare")}
        </label>
      </div>
    </article>
  );
}
