import Link from "next/link";
import { formatDate, formatMoney } from "../../text/format";
import type { PreviewState } from "../../views/preview-state";
import { PreviewProgress } from "./preview-progress.client";

const MOST_SHOWN = 200;

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

function Counts({ effects }: { effects: readonly Effect[] }) {
  const count = (test: (e: Effect) => boolean) => effects.filter(test).length;
  const lines = [
    ["submitted files", count((e) => e.submitted)],
    ["drafts", count((e) => !e.submitted)],
    ["another group", count((e) => e.group !== null)],
    ["another eligibility", count((e) => e.eligibility !== null)],
    ["another finding", count((e) => e.findings.length > 0)],
    ["something else missing", count((e) => e.missing.added.length + e.missing.gone.length > 0)],
    ["another fee", count((e) => e.due !== null)],
    ["another day for the next step", count((e) => e.nextBy !== null)],
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
}: {
  preview: PreviewState | null;
  titleOf: EffectTitles;
  /** Whom it does not touch although it would. */
  keeps: string;
  begin: () => Promise<string | null>;
}) {
  const effects = [...(preview?.effects ?? [])].sort((a, b) => a.number.localeCompare(b.number));
  return (
    <>
      <PreviewProgress
        state={
          preview && { done: preview.done, total: preview.total, finished: preview.finished, stale: preview.stale }
        }
        begin={begin}
      />
      {preview?.finished ? (
        effects.length === 0 ? (
          <p>Of {preview.total} files none would change.</p>
        ) : (
          <>
            <p>
              Of {preview.total} files {new Set(effects.map((e) => e.number)).size} would change. {keeps}
            </p>
            <Counts effects={effects} />
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
                {effects.slice(0, MOST_SHOWN).map((e) => (
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
            {effects.length > MOST_SHOWN ? <p className="quiet">The first {MOST_SHOWN} are listed.</p> : null}
          </>
        )
      ) : null}
    </>
  );
}
