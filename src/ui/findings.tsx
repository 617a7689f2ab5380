import type { FindingResult, RequirementResult } from "../core/assessment/result";
import type { FileData } from "../views/file-data";
import { TraceTree } from "./trace-tree";

const WORDS = { met: "Met", "not met": "Not met", open: "Open" } as const;
function Finding({ finding, titles }: { finding: FindingResult; titles: FileData["factTitles"] }) {
  return (
    <details className="finding" data-finding={finding.finding}>
      <summary>
        <strong>{WORDS[finding.finding]}</strong> · {finding.title.en} <span className="quiet">{finding.basis}</span>
        {finding.way ? <span className="quiet way">can still be met {finding.way.en}</span> : null}
      </summary>
      <ul className="trace">
        <TraceTree trace={finding.trace} titles={titles} locale="en" marksClaims />
      </ul>
    </details>
  );
}

/** Whether a field’s value stands beside a requirement: shown with its document, or filled in with its sections. */
const standsBeside = (about: RequirementResult, field: string): boolean =>
  about.kind === "sections" ? about.sections.includes(field.split(".")[0] ?? "") : about.shows.includes(field);

/** The entry rules with their findings; beside a requirement only those that use its values. */
export function Findings({ data, about }: { data: FileData; about?: RequirementResult }) {
  return (
    <div className="findings">
      {data.assessment.choices.map((choice) => {
        const code = data.choices.find((c) => c.id === choice.id);
        const own = choice.findings.filter(
          (f) => about === undefined || (data.ruleFields[f.key] ?? []).some((field) => standsBeside(about, field)),
        );
        if (own.length === 0) return null;
        return (
          <div key={choice.id}>
            <h3>
              {about
                ? "Entry rules that use this"
                : `${code?.code ?? ""} ${code?.title.en ?? ""}: ${choice.eligibility}`}
            </h3>
            {own.map((finding) => (
              <Finding key={finding.key} finding={finding} titles={data.factTitles} />
            ))}
          </div>
        );
      })}
    </div>
  );
}
