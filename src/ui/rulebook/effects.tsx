import Link from "next/link";
import { formatDate, formatMoney } from "../../text/format";
import type { PreviewState } from "../../views/rulebook/preview-state";
import { PreviewProgress } from "./preview-progress.client";

type Effect = PreviewState["effects"][number];

/** What a requirement or an entry rule of a programme is called. */
export type EffectTitles = (programme: string, key: string) => string;

function change(effect: Effect, titleOf: EffectTitles): string {
  const title = (key: string) => titleOf(effect.programme, key);
  const day = (at: string | null) => (at === null ? "no day" : formatDate("en", at));
  const money = (minor: number) => formatMoney("en", { minor, currency: effect.due?.currency ?? "EUR" });
  return [
    ...(effect.group ? [`group: ${effect.group.before ?? "open"} → ${effect.group.after ?? "open"}`] : []),
    ...effect.findings.map((f) => `${title(f.key)}: ${f.before ?? "not asked"} → ${f.after ?? "not asked"}`),
    ...(effect.missing.added.length > 0 ? [`now missing: ${effect.missing.added.map(title).join(", ")}`] : []),
    ...(effect.missing.gone.length > 0 ? [`no longer missing: ${effect.missing.gone.map(title).join(", ")}`] : []),
    ...(effect.nextBy ? [`next by: ${day(effect.nextBy.before)} → ${day(effect.nextBy.after)}`] : []),
    ...(effect.due ? [`due: ${money(effect.due.before)} → ${money(effect.due.after)}`] : []),
  ].join("; ");
}

function Counts({ counts }: { counts: PreviewState["counts"] }) {
  const lines = [
    [counts.submitted === 1 ? "submitted file" : "submitted files", counts.submitted],
    [counts.drafts === 1 ? "draft" : "drafts", counts.drafts],
    ["another group", counts.group],
    ["another eligibility", counts.eligibility],
    ["another finding", counts.finding],
    ["something else missing", counts.missing],
    ["another fee", counts.due],
    ["another day for the next step", counts.nextBy],
  ].filter((line): line is [string, number] => line[1] !== 0);
  return (
    <ul className="effect-counts">
      {lines.map(([what, n]) => (
        <li key={what}>
          <span className="figures">{n}</span> {what}
        </li>
      ))}
    </ul>
  );
}

/** The files for which a draft would change something, counted and listed, before and after. */
export function Effects({
  preview,
  titleOf,
  keeps,
  begin,
  first,
  nextHref,
}: {
  preview: PreviewState | null;
  titleOf: EffectTitles;
  /** Whom it does not touch although it would. */
  keeps: string;
  begin: () => Promise<string | null>;
  /** The address of the first page, where another one is shown. */
  first: string | null;
  nextHref: (after: string) => string;
}) {
  const effects = preview?.effects ?? [];
  return (
    <>
      <PreviewProgress
        state={
          preview && { done: preview.done, total: preview.total, finished: preview.finished, stale: preview.stale }
        }
        begin={begin}
      />
      {preview?.finished ? (
        preview.counts.files === 0 ? (
          <p>Of {preview.total} files none would change.</p>
        ) : (
          <>
            <p>
              Of {preview.total} files {preview.counts.files} would change. {keeps}
            </p>
            <Counts counts={preview.counts} />
            <table className="plain-table">
              <thead>
                <tr>
                  <th>File</th>
                  <th>State</th>
                  <th>Eligibility</th>
                  <th>What changes</th>
                </tr>
              </thead>
              <tbody>
                {effects.map((e) => (
                  <tr key={e.choiceId}>
                    <td className="figures">
                      <Link href={`/office/files/${e.number}`}>{e.number}</Link>
                    </td>
                    <td>{e.submitted ? "submitted" : "draft"}</td>
                    <td>
                      {e.eligibility ? (
                        `${e.eligibility.before} → ${e.eligibility.after}`
                      ) : (
                        <span className="quiet">the same</span>
                      )}
                    </td>
                    <td>{change(e, titleOf)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="quiet">
              {first ? <Link href={first}>First page</Link> : null}{" "}
              {preview.next ? <Link href={nextHref(preview.next)}>Next page</Link> : null}
            </p>
          </>
        )
      ) : null}
    </>
  );
}
