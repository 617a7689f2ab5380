import type { FindingResult, RequirementResult } from "../core/assessment/result";
import type { Trace } from "../core/rules/trace";
import { detailLines, leafSentence } from "../text/office";
import type { FileData } from "../views/file";

const WORDS = { met: "Met", "not met": "Not met", open: "Open" } as const;
const JOINED = {
  all: "all of these",
  any: "one of these",
  atLeast: "some of these",
  not: "not this",
  some: "in the list",
  count: "counted",
  sum: "added up",
  fact: "",
} as const;

/** Entries of a list are unfolded one by one only while they are few. */
const MOST_ENTRIES = 4;

/** A trace unfolded: every condition with its value, down to the numbers. */
function TraceTree({
  trace,
  titles,
  list,
}: {
  trace: Trace;
  titles: FileData["factTitles"];
  list?: string | undefined;
}) {
  const listed = trace.op === "some" && (trace.parts?.length ?? 0) <= MOST_ENTRIES;
  const parts =
    listed || trace.op === "all" || trace.op === "any" || trace.op === "atLeast" || trace.op === "not"
      ? (trace.parts ?? [])
      : [];
  return (
    <li>
      <span data-truth={trace.truth}>{WORDS[trace.truth]}</span>{" "}
      {trace.leaf
        ? leafSentence(trace, titles, list)
        : trace.op === "atLeast"
          ? `at least ${trace.needed} of these`
          : JOINED[trace.op]}
      {trace.leaf && !trace.confirmed ? <span className="quiet"> · claimed</span> : null}
      {trace.leaf
        ? detailLines(trace.leaf).map((line) => (
            <span key={line} className="quiet formula">
              {line}
            </span>
          ))
        : null}
      {parts.length > 0 ? (
        <ul>
          {parts.map((part, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a rule have a fixed order
            <TraceTree key={i} trace={part} titles={titles} list={trace.op === "some" ? trace.leaf?.fact : list} />
          ))}
        </ul>
      ) : null}
    </li>
  );
}

function Finding({ finding, titles }: { finding: FindingResult; titles: FileData["factTitles"] }) {
  return (
    <details className="finding" data-finding={finding.finding}>
      <summary>
        <strong>{WORDS[finding.finding]}</strong> · {finding.title.en} <span className="quiet">{finding.basis}</span>
        {finding.way ? <span className="quiet way">can still be met {finding.way.en}</span> : null}
      </summary>
      <ul className="trace">
        <TraceTree trace={finding.trace} titles={titles} />
      </ul>
    </details>
  );
}

/** The entry rules with their findings; beside a document only those that use its values. */
export function Findings({ data, about }: { data: FileData; about?: RequirementResult }) {
  return (
    <div className="findings">
      {data.assessment.choices.map((choice) => {
        const code = data.choices.find((c) => c.id === choice.id);
        const own = choice.findings.filter(
          (f) => about === undefined || (data.ruleFields[f.key] ?? []).some((field) => about.shows.includes(field)),
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
