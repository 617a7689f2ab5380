"use client";

import Link from "next/link";
import { useEffect, useState } from "react";
import type { Facets, FacetValue } from "../../views/turns/facets";
import { type TurnQuery, tagsOf, turnAddress } from "./turn-query";

const WORDS: Readonly<Record<Facets["tags"][number]["word"], string>> = {
  programme: "Programme",
  start: "Start of studies",
  round: "Round",
  group: "Applicant group",
  eligibility: "Eligibility",
  standing: "What is open",
};

/** Values beyond these are shown when asked for. */
const FIRST = 7;

function Facet({
  title,
  values,
  total,
  chosen,
  href,
}: {
  title: string;
  /** How many files are shown. */
  total: number;
  values: readonly FacetValue[];
  chosen: (value: string) => boolean;
  href: (value: string) => string;
}) {
  const [all, setAll] = useState(false);
  // What holds of all of them narrows nothing.
  const [only] = values;
  if (!only || (values.length === 1 && only.count === total && !chosen(only.value))) return null;
  const shown = all ? values : values.slice(0, FIRST);
  return (
    <section aria-label={title}>
      <h3>{title}</h3>
      <ul>
        {shown.map((v) => (
          <li key={v.value}>
            <Link href={href(v.value)} aria-current={chosen(v.value) ? "true" : undefined} prefetch={false}>
              <span>{v.title}</span> <span className="count">{v.count}</span>
            </Link>
          </li>
        ))}
      </ul>
      {values.length > shown.length ? (
        <button type="button" className="bare" onClick={() => setAll(true)}>
          {values.length - shown.length} more
        </button>
      ) : null}
    </section>
  );
}

const ROUND_WORDS: readonly (readonly [mend: string, title: string])[] = [
  ["1", "Gaps can still be filled"],
  ["2", "Closed with gaps left"],
];

/** By what the list can be narrowed down, each value with how many of the files that are shown have it; a value that is chosen is let go again. */
export function Narrow({ query, total }: { query: TurnQuery; total: number }) {
  const [facets, setFacets] = useState<Facets | null>(null);
  const [failed, setFailed] = useState(false);
  const asked = turnAddress(query, {}).replace("/office", "/api/turn-facets");
  useEffect(() => {
    const stop = new AbortController();
    fetch(asked, { signal: stop.signal })
      .then(async (r) => (r.ok ? setFacets((await r.json()) as Facets) : setFailed(true)))
      .catch(() => (stop.signal.aborted ? undefined : setFailed(true)));
    return () => stop.abort();
  }, [asked]);
  if (failed)
    return (
      <div className="narrowing">
        <p className="wrong">What the list can be narrowed down by did not come. Close this and open it again.</p>
      </div>
    );
  if (!facets)
    return (
      <div className="narrowing" aria-busy="true">
        <p className="quiet">Counting …</p>
      </div>
    );
  const tags = tagsOf(query);
  const tagHref = (value: string) =>
    turnAddress(query, { with: tags.includes(value) ? tags.filter((t) => t !== value) : [...tags, value] });
  return (
    <div className="narrowing">
      {facets.tags.map(({ word, values }) => (
        <Facet
          key={word}
          title={WORDS[word]}
          values={values}
          total={total}
          chosen={(v) => tags.includes(v)}
          href={tagHref}
        />
      ))}
      <Facet
        title="In whose hands"
        values={facets.officers}
        total={total}
        chosen={(v) => query.officer === v}
        href={(v) => turnAddress(query, { officer: query.officer === v ? "" : v })}
      />
      <Facet
        title="Marks"
        values={facets.marks}
        total={-1}
        chosen={(v) => query.mark === v}
        href={(v) => turnAddress(query, { mark: query.mark === v ? "" : v })}
      />
      <section aria-label="More">
        <h3>Gaps and statements</h3>
        <ul>
          {ROUND_WORDS.map(([mend, title]) => (
            <li key={mend}>
              <Link
                href={turnAddress(query, { mend: query.mend === mend ? "" : mend })}
                aria-current={query.mend === mend ? "true" : undefined}
                prefetch={false}
              >
                <span>{title}</span>
              </Link>
            </li>
          ))}
          <li>
            <Link
              href={turnAddress(query, { alike: query.alike === "1" ? "" : "1" })}
              aria-current={query.alike === "1" ? "true" : undefined}
              prefetch={false}
            >
              <span>Statements alike</span>
            </Link>
          </li>
        </ul>
      </section>
    </div>
  );
}
