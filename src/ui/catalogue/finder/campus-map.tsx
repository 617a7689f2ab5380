import Link from "next/link";
import { liesIn } from "../../../core/catalogue/site-places";
import type { ReferenceSet } from "../../../core/standards/reference-set";
import type { Locale } from "../../../core/text/local-text";
import { sentence } from "../../../text/sentence";
import { labelPlaces } from "./label-places";
import { type FinderQuery, queryString } from "./query";

/** The campuses on the office's drawn map: each is a link that narrows the list to it, or leaves it again. */
export function CampusMap({
  map,
  campuses,
  query,
  counts,
  locale,
}: {
  map: ReferenceSet["map"];
  campuses: ReferenceSet["campuses"];
  query: FinderQuery;
  counts: Readonly<Record<string, number>>;
  locale: Locale;
}) {
  const sites = campuses.filter((c) => !c.remote);
  if (sites.length === 0) return null;
  const places = labelPlaces(sites.map(({ x, y, title }) => ({ x, y, name: title[locale] })));
  return (
    <figure className="campus-map">
      <svg viewBox="0 12 100 60">
        <title>{sentence(locale, "finder.map")}</title>
        <rect className="sea" y="12" width="100" height="60" />
        {map?.land.map((d) => (
          <path key={d} className="land" d={d} />
        ))}
        {map?.water.map((d) => (
          <path key={d} className="river" d={d} />
        ))}
        {sites.map((campus, i) => {
          const chosen = query.campus !== null && liesIn(campus, query.campus);
          const place = places[i];
          return (
            <Link
              key={campus.key}
              href={`/${queryString(query, { campus: chosen ? null : campus.key })}`}
              scroll={false}
              prefetch={false}
              aria-current={chosen}
              aria-label={`${campus.title[locale]}, ${sentence(locale, "finder.found", { count: counts[campus.key] ?? 0 })}`}
            >
              <circle className="spot" cx={campus.x} cy={campus.y} r="8" />
              <circle className="dot" cx={campus.x} cy={campus.y} r={chosen ? 3.4 : 2.4} />
              <text x={place?.x} y={place?.y} textAnchor={place?.anchor}>
                {campus.title[locale]}
              </text>
            </Link>
          );
        })}
      </svg>
    </figure>
  );
}
