import { type ChoiceResult, type ExplainedFinding, type RequirementResult, shownBeside } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { becauseOf, waysToMeet } from "../../core/rules/verdict";
import { detailLines, type FactTitles, leafSentence } from "../../text/words/trace";
import type { FileData, FileOverride } from "../../views/assessment/file-data";
import { OfficeDay } from "../frame/office-day.client";
import { TraceTree } from "./trace-tree";
import { WithReason } from "./with-reason.client";

const WORDS = { met: "Met", "not met": "Not met", open: "Open" } as const;

/** An override stays to be read for ever, also once it was taken back. */
function OverrideLine({ override: o }: { override: FileOverride }) {
  return (
    <p className="override">
      {o.ended ? "Was counted" : "Counts"} as {o.finding} by decision of {o.by}, <OfficeDay at={o.at} />: {o.reason}{" "}
      <span className="quiet">The rule itself came to: {o.worked}.</span>
      {o.ended ? (
        <>
          {" "}
          Taken back by {o.ended.by}, <OfficeDay at={o.ended.at} />: {o.ended.reason}
        </>
      ) : null}
    </p>
  );
}

/** What a finding stands on. One that is open and rests on nothing claimed stands on nothing yet. */
function basisWord({ finding, overrides, basis }: ExplainedFinding): string {
  if (overrides !== null) return "overridden";
  return finding === "open" && basis === "confirmed" ? "" : basis;
}

const MOST_REASONS = 3;

/** Beside a finding that is not met, or open: the values that decide it, without unfolding anything. */
function Because({ finding, titles }: { finding: ExplainedFinding; titles: FactTitles }) {
  if (finding.finding === "met" || finding.overrides !== null) return null;
  // That a test falls short says little: by what it does, says all.
  const sentences = new Set(
    becauseOf(finding.trace).flatMap((part) =>
      part.leaf.detail?.kind === "proof" ? detailLines(part.leaf) : [leafSentence(part, titles)],
    ),
  );
  return [...sentences].slice(0, MOST_REASONS).map((sentence) => (
    <span key={sentence} className="quiet way">
      {sentence}
    </span>
  ));
}

/** The ways in which an open finding would be met, where there are several: “either … or …”. */
function Ways({ finding, titles }: { finding: ExplainedFinding; titles: FactTitles }) {
  const ways = finding.finding === "open" ? waysToMeet(finding.trace) : [];
  if (ways.length < 2) return null;
  return (
    <>
      <p className="quiet">Any one of these would meet it:</p>
      <ul className="dashes">
        {ways.map((way) => {
          const words = way.map(({ leaf, holds }) => `${leafSentence(leaf, titles)}${holds ? "" : " (must not hold)"}`);
          return <li key={words.join()}>{words.join(", and ")}</li>;
        })}
      </ul>
    </>
  );
}

interface Overriding {
  readonly data: FileData;
  readonly choice: ChoiceResult;
  readonly finding: ExplainedFinding;
  readonly act: ActOnFile;
}

function OverrideForm({ choice, finding, act }: Omit<Overriding, "data">) {
  const place = { choiceId: choice.id, rule: finding.key };
  if (finding.overrides !== null)
    return (
      <WithReason
        open="Take the override back"
        does="Take it back"
        label="Why it no longer holds"
        consequence={`What the rule itself comes to counts again: ${finding.overrides}. The override stays to be read.`}
        act={(reason) => act("end-override", { ...place, reason })}
      />
    );
  const other = finding.finding === "met" ? "not met" : "met";
  return (
    <WithReason
      open={`Override: ${other}`}
      does={`Count it as ${other}`}
      label="Why"
      consequence={`The rule will count as ${other}, whatever is worked out. Your name and your reason stay beside it for ever.`}
      act={(reason) => act("override-finding", { ...place, finding: other, reason })}
    />
  );
}

function Finding({
  finding,
  choice,
  data,
  act,
}: {
  finding: ExplainedFinding;
  choice: ChoiceResult;
  data: FileData;
  act: ActOnFile | undefined;
}) {
  const overrides = data.overrides.filter((o) => o.choice === choice.id && o.rule === finding.key);
  // Of a draft, only who may choose the programme is settled beforehand.
  const leads = data.choices.some((c) => c.id === choice.id && c.may.lead);
  const mayOverride =
    act !== undefined && leads && choice.stage !== "closed" && (choice.stage !== "preparing" || finding.gate);
  return (
    <details className="finding" data-finding={finding.finding}>
      <summary>
        <strong>{WORDS[finding.finding]}</strong> · {finding.title.en}{" "}
        <span className="quiet">{basisWord(finding)}</span>
        {finding.gate ? <span className="quiet way">decides who may choose the programme</span> : null}
        <Because finding={finding} titles={data.factTitles} />
        {finding.ifPassed ? <span className="quiet way">met if the courses in progress are passed</span> : null}
        {finding.way ? <span className="quiet way">can still be met {finding.way.en}</span> : null}
      </summary>
      {overrides.map((o) => (
        <OverrideLine key={o.at} override={o} />
      ))}
      <ul className="trace">
        <TraceTree trace={finding.trace} titles={data.factTitles} locale="en" marksClaims />
      </ul>
      <Ways finding={finding} titles={data.factTitles} />
      {mayOverride ? <OverrideForm choice={choice} finding={finding} act={act} /> : null}
    </details>
  );
}

/** Whether a field’s value stands beside a requirement: shown with its document, or filled in with its sections. */
const standsBeside = (about: RequirementResult, field: string): boolean =>
  about.kind === "sections" ? about.sections.includes(field.split(".")[0] ?? "") : shownBeside(about).includes(field);

/**
 * The entry rules with their findings; beside a requirement only those that use its values.
 * @param act by which a lead officer of a choice overrides what a rule found
 */
export function Findings({
  data,
  about,
  act,
}: {
  data: FileData;
  about?: RequirementResult;
  act?: ActOnFile | undefined;
}) {
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
              <Finding key={finding.key} finding={finding} choice={choice} data={data} act={act} />
            ))}
          </div>
        );
      })}
    </div>
  );
}
