import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { formatDate } from "../../../text/format";
import { StartPick } from "../../../ui/application/start-pick.client";
import { FigureBars } from "../../../ui/figures/figure-bars.client";
import { type Figure, figures } from "../../../views/figures/figures";
import { requireStaff, see } from "../../request";

const WITHHELD = "fewer than five, or withheld with them";

function FigureBlock({ figure, start }: { figure: Figure; start: string }) {
  const { key, title, section, lines, confidential, several } = figure;
  const filesOf = (value: string) =>
    `/office?${new URLSearchParams({ said: [start, ...key.split("."), value].join(",") })}`;
  return (
    <section className="figure-block">
      <h2>
        {section ? <span className="quiet">{section}: </span> : null}
        {title}
      </h2>
      <FigureBars title={title} lines={lines} />
      <details>
        <summary>As a table</summary>
        <table className="plain-table">
          <tbody>
            {lines.map(({ label, count, value }) => (
              <tr key={label}>
                <th scope="row">{label}</th>
                <td className="figures">
                  {value === null ? null : <Link href={filesOf(value)}>the files</Link>}{" "}
                  {count ?? <span className="quiet">{WITHHELD}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      <p className="quiet">
        {several ? "Several answers could be given. " : ""}
        {confidential ? "Known in figures alone: no file shows who said it." : ""}
      </p>
    </section>
  );
}

/** How many gave which answer, start by start: what is for figures alone, and what rulebooks have counted. */
export default async function FiguresSheet({ searchParams }: { searchParams: Promise<{ start?: string }> }) {
  const person = await requireStaff("/office/figures", OFFICE);
  const { start = null } = await searchParams;
  const page = await see(figures, person.actor, { start });
  if (!page) notFound();
  const { shown } = page;
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Figures <span className="quiet">over submitted applications, one start at a time</span>
        </h1>
        {shown ? (
          <div className="presses">
            <StartPick
              shown={shown.id}
              starts={page.starts.map((s) => ({
                value: s.id,
                label: `${s.code} ${s.title}, ${formatDate("en", s.startsOn)} · ${s.submitted}`,
              }))}
            />
            <a className="plain-button" href={`/api/figures?start=${shown.id}`} download>
              As CSV
            </a>
          </div>
        ) : null}
      </div>
      {!shown || shown.submitted === 0 ? (
        <p className="empty">
          {shown ? "Nobody has submitted an application for this start yet." : "No start is planned yet."}
        </p>
      ) : (
        <>
          <p>
            {shown.submitted} submitted {shown.submitted === 1 ? "application" : "applications"} for {shown.code}, start{" "}
            {formatDate("en", shown.startsOn)}.
          </p>
          <div className="figure-blocks">
            {page.figures.map((figure) => (
              <FigureBlock key={`${shown.id} ${figure.key}`} figure={figure} start={shown.id} />
            ))}
          </div>
          {page.written.map(({ key, section, title, texts }) => (
            <section key={key} className="figure-block">
              <h2>
                <span className="quiet">{section}: </span>
                {title}
              </h2>
              {texts === null ? (
                <p className="quiet">Fewer than five wrote something: it is shown once more have.</p>
              ) : (
                <details>
                  <summary>{texts.length} wrote, in the order of the alphabet</summary>
                  <ul className="plain-list">
                    {texts.map((text, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: two may have written the same
                      <li key={i} className="pre-line">
                        {text}
                      </li>
                    ))}
                  </ul>
                </details>
              )}
              <p className="quiet">Known apart from the files alone: no file shows who wrote it.</p>
            </section>
          ))}
        </>
      )}
    </div>
  );
}
