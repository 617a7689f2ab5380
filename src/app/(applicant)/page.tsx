import Link from "next/link";
import { placesOf } from "../../core/catalogue/site-places";
import { formatDate, languageName } from "../../text/format";
import { sentence } from "../../text/sentence";
import { countryOptions, fieldName } from "../../text/words/code-lists";
import { CampusMap } from "../../ui/catalogue/finder/campus-map";
import { FinderForm } from "../../ui/catalogue/finder/finder-form.client";
import { Hit } from "../../ui/catalogue/finder/hit";
import { NotFoundNote } from "../../ui/catalogue/finder/not-found.client";
import { personString, queryString, readQuery, type SearchParams } from "../../ui/catalogue/finder/query";
import { ZoneNote } from "../../ui/catalogue/programme";
import { closedToMe } from "../../views/application/closed-to-me";
import { finder } from "../../views/catalogue/finder";
import { identity, locale, see, VISITOR } from "../request";
import { noteNotFound } from "./finder.action";

/** The programmes that take applications: searched, narrowed, on a map, each with the deadline that holds for the visitor. */
export default async function FinderPage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const query = readQuery(await searchParams);
  const language = await locale();
  const data = await see(finder, VISITOR, { ...query, citizenships: [...query.citizenships] });
  if (!data || data.total === 0)
    return (
      <div className="sheet">
        <h1>{sentence(language, "finder.title")}</h1>
        <p className="empty">{sentence(language, "home.none")}</p>
      </div>
    );
  const signedIn = await identity();
  const closed = signedIn ? ((await see(closedToMe, signedIn.actor, {})) ?? []) : [];
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  const option = (value: string, label: string) => ({ value, label });
  const person = personString(query);
  const narrowed = queryString({ ...query, citizenships: [], residence: null }) !== "";
  const nothingElse = queryString({ ...query, words: "", campus: null, citizenships: [], residence: null }) === "";
  return (
    <div className="finder">
      <header>
        <h1>{t("finder.title")}</h1>
        <p className="quiet">{t("finder.intro")}</p>
      </header>
      <aside>
        <FinderForm
          query={query}
          locale={language}
          levels={data.choices.levels.map((l) => option(l, sentence(language, `level.${l}`)))}
          awards={data.choices.awards.map((a) => option(a, a))}
          bodies={
            data.choices.partners.length > 0
              ? [option("ours", data.office[language]), ...data.choices.partners.map((p) => option(p, p))]
              : []
          }
          fields={data.choices.fields.map((f) => option(f, fieldName(language, f)))}
          languages={data.choices.languages.map((l) => option(l, languageName(language, l)))}
          campuses={placesOf(data.campuses).map(({ value, title, region, whole }) => ({
            value,
            label: whole ? sentence(language, "finder.anywhereIn", { region: title[language] }) : title[language],
            under: region?.[language],
          }))}
          starts={data.choices.starts.map((s) => option(s, formatDate(language, s)))}
          countries={countryOptions(language)}
          group={data.group?.title[language] ?? null}
        />
        <CampusMap map={data.map} campuses={data.campuses} query={query} counts={data.perCampus} locale={language} />
      </aside>
      <section aria-label={t("nav.programmes")}>
        <p className="found" role="status">
          {sentence(language, "finder.found", { count: data.hits.length })}{" "}
          {data.hits.length === data.total ? null : (
            <span className="quiet">{sentence(language, "finder.ofTotal", { total: data.total })}</span>
          )}{" "}
          <ZoneNote zone={data.zone} language={language} />{" "}
          {narrowed ? (
            <Link href={`/${person}`} className="plain-link">
              {t("finder.clear")}
            </Link>
          ) : null}
        </p>
        {data.hits.length === 0 ? (
          <p className="empty">
            {t("finder.none")} <Link href={`/${person}`}>{t("finder.all")}</Link>
            {nothingElse ? <NotFoundNote words={query.words} campus={query.campus} note={noteNotFound} /> : null}
          </p>
        ) : (
          <form action="/programmes/compare" className="hits">
            {query.citizenships.map((c) => (
              <input key={c} type="hidden" name="from" value={c} />
            ))}
            {query.residence ? <input type="hidden" name="lives" value={query.residence} /> : null}
            {data.hits.map((hit) => (
              <Hit
                key={`${hit.code} ${hit.startsOn}`}
                hit={hit}
                zone={data.zone}
                office={data.office[language]}
                person={person}
                closed={closed.find((c) => c.code === hit.code)}
                language={language}
              />
            ))}
            <p className="compare-bar">
              <button type="submit" className="press">
                {t("finder.compare")}
              </button>
            </p>
          </form>
        )}
      </section>
    </div>
  );
}
