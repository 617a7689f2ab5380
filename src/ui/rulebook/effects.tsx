import Link from "next/link";
import { formatMoney } from "../../text/format";
import type { RulebookPage } from "../../views/rulebooks";
import { PreviewProgress } from "./preview-progress.client";

const MOST_SHOWN = 200;

type Effect = NonNullable<RulebookPage["preview"]>["effects"][number];

function change(effect: Effect, page: RulebookPage): string {
  const ruleTitle = (key: string) => page.body.entryRules.find((r) => r.key === key)?.title.en ?? key;
  const requirementTitle = (key: string) => page.body.requirements.find((r) => r.key === key)?.title.en ?? key;
  const money = (minor: number) => formatMoney("en", { minor, currency: effect.due?.currency ?? "EUR" });
  return [
    ...effect.findings.map((f) => `${ruleTitle(f.key)}: ${f.before ?? "not asked"} → ${f.after ?? "not asked"}`),
    ...(effect.missing.added.length > 0
      ? [`now missing: ${effect.missing.added.map(requirementTitle).join(", ")}`]
      : []),
    ...(effect.missing.gone.length > 0
      ? [`no longer missing: ${effect.missing.gone.map(requirementTitle).join(", ")}`]
      : []),
    ...(effect.due ? [`due: ${money(effect.due.before)} → ${money(effect.due.after)}`] : []),
  ].join("; ");
}

function Counts({ effects }: { effects: readonly Effect[] }) {
  const count = (test: (e: Effect) => boolean) => effects.filter(test).length;
  const lines: readonly (readonly [string, number])[] = [
    ["submitted files", count((e) => e.submitted)],
    ["drafts", count((e) => !e.submitted)],
    ["another eligibility", count((e) => e.eligibility !== null)],
    ["another finding", count((e) => e.findings.length > 0)],
    ["something else missing", count((e) => e.missing.added.length + e.missing.gone.length > 0)],
    ["another fee", count((e) => e.due !== null)],
  ];
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
export function Effects({ page, begin }: { page: RulebookPage; begin: () => Promise<string | null> }) {
  const { preview } = page;
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
              Of {preview.total} files {effects.length} would change. Submitted ones keep their version unless a lead
              officer moves them.
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
                    <td>{change(e, page)}</td>
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
