import Link from "next/link";
import type { ReactNode } from "react";
import { programmeName } from "../../../../core/catalogue/programme";
import { formatDate, languageName } from "../../../../text/format";
import { sentence } from "../../../../text/sentence";
import { fieldName } from "../../../../text/words/code-lists";
import { personString, readQuery, type SearchParams } from "../../../../ui/catalogue/finder/query";
import { Deadlines, lengthText } from "../../../../ui/catalogue/programme";
import { type FinderHit, finder } from "../../../../views/catalogue/finder";
import { locale, see, VISITOR } from "../../../request";

const MOST = 4;

/** Programmes side by side, one fact a line, so that what differs stands in one row. */
export default async function ComparePage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const params = await searchParams;
  const query = readQuery(params);
  const language = await locale();
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  const codes = [params.code ?? []].flat().slice(0, MOST);
  const data = await see(finder, VISITOR, { citizenships: [...query.citizenships], residence: query.residence });
  const hits = codes.flatMap((code) => data?.hits.find((h) => h.code === code) ?? []);
  const person = personString(query);
  const back = (
    <p>
      <Link href={`/${person}`}>{t("finder.back")}</Link>
    </p>
  );
  if (!data || hits.length === 0)
    return (
      <div className="sheet">
        <h1>{t("finder.compareTitle")}</h1>
        <p className="empty">{t("finder.compareNone")}</p>
        {back}
      </div>
    );
  const rows: readonly (readonly [string, (hit: FinderHit) => ReactNode])[] = [
    [
      t("programme.rounds"),
      (h) => (
        <>
          <strong>{sentence(language, `finder.state.${h.round.state}`)}</strong>
          <Deadlines round={h.round} zone={data.zone} language={language} />
        </>
      ),
    ],
    [t("finder.level"), (h) => sentence(language, `level.${h.level}`)],
    [t("finder.field"), (h) => h.fields.map((f) => fieldName(language, f)).join(", ")],
    [t("finder.start"), (h) => formatDate(language, h.startsOn)],
    ["ECTS", (h) => `${h.ects} · ${lengthText(language, h)}`],
    [t("finder.language"), (h) => h.languages.map((l) => languageName(language, l)).join(", ")],
    [t("finder.campus"), (h) => h.campuses.map((c) => c.title[language]).join(", ")],
    [t("apply.mode"), (h) => h.modes.map((m) => sentence(language, `mode.${m}`)).join(", ")],
    [t("programme.prerequisites"), (h) => h.prerequisites?.[language] ?? "—"],
    [
      t("programme.needs"),
      (h) => (
        <ul className="dashes">
          {h.needs.map((need) => (
            <li key={need.en}>{need[language]}</li>
          ))}
        </ul>
      ),
    ],
  ];
  return (
    <div className="sheet wide">
      {back}
      <h1>{t("finder.compareTitle")}</h1>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by the keyboard */}
      <section className="compare-scroll" tabIndex={0} aria-label={t("finder.compareTitle")}>
        <table className="compare">
          <thead>
            <tr>
              <td />
              {hits.map((h) => (
                <th key={h.code} scope="col">
                  <Link href={`/programmes/${h.code}${person}`}>{programmeName(h, language)}</Link>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([label, cell]) => (
              <tr key={label}>
                <th scope="row">{label}</th>
                {hits.map((h) => (
                  <td key={h.code}>{cell(h)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
