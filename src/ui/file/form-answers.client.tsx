"use client";

import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import { SectionSummary } from "../copies/section-summary.client";
import { type Confirm, isCorrectable } from "../form/correct-value.client";
import { GrantAdjustment } from "./adjustments.client";
import { ClaimedLine } from "./claimed-line.client";
import { AddTask } from "./tasks.client";

const LONG_TEXT = 200;

/** Where a section is said in short: lists and long texts, which those who assess need not read whole. */
function summarisable(
  { key, repeats }: FileData["sections"][number],
  own: FileData["values"],
  { summaries }: FileData,
): readonly string[] {
  const long = repeats || own.some((v) => typeof v.claim === "string" && v.claim.length > LONG_TEXT);
  const said = summaries.filter((d) => d.section === key).map((d) => d.scope);
  return [...new Set([...(long ? own.map((v) => v.scope) : []), ...said])];
}

const KEPT_WORDS = {
  advisers: "Told in confidence: advisers alone read it.",
  finance: "Finance alone reads it.",
  figures: "Counted in the figures, and read in no file.",
} as const;

/** Why nothing stands in a section. */
function silence({ asked, whole, repeats, kept }: FileData["sections"][number]): string {
  if (!asked) return "Not asked of this applicant.";
  if (kept) return KEPT_WORDS[kept];
  return repeats && whole ? "None: the applicant says that there is nothing to add." : "Not answered.";
}

/** What the office fills in stands with what was said: it is not for the applicant to answer. */
const isSaid = ({ claim, confirmed, byOffice }: FileData["values"][number]): boolean =>
  byOffice || (claim !== null && claim !== "") || confirmed !== null;

/** What the office has given in a list, added up: the points of all awards. */
function Totals({ values }: { values: FileData["values"] }) {
  const given = values.filter((v) => v.byOffice && v.entry !== "" && (v.kind === "whole" || v.kind === "decimal"));
  return [...new Set(given.map((v) => v.field))].map((field) => {
    const own = given.filter((v) => v.field === field);
    const known = own.flatMap((v) => (v.confirmed === null ? [] : [Number(v.confirmed)]));
    const left = own.length - known.length;
    return (
      <p key={field}>
        {own[0]?.title.en}: <strong>{known.reduce((sum, n) => sum + n, 0)} in all</strong>
        {left > 0 ? <span className="quiet">, {left} still to be given</span> : null}
      </p>
    );
  });
}

/** The answers as they stand, claims with what the office made of them; each can be corrected here, whatever asks for it. */
export function FormAnswers({ data, askDay, act }: { data: FileData; askDay: string; act: ActOnFile }) {
  const [said, setSaid] = useState<string | null>(null);
  const confirm: Confirm = async (values, note) => {
    const refused = await act("confirm-values", { values: [...values], note });
    setSaid(refused ? null : "Corrected. What the applicant wrote stays beside it.");
    return refused;
  };
  const judged = data.assessment.file.stage !== "preparing";
  const line = (v: FileData["values"][number]) => (
    <ClaimedLine key={`${v.scope}-${v.field}`} value={v} data={data} onConfirm={confirm} judged={judged} act={act} />
  );
  return (
    <>
      <p role="status" className="quiet">
        {said}
      </p>
      {data.sections.map((section) => {
        const here = data.values.filter((v) => v.section === section.key);
        const [own, unsaid] = [here.filter(isSaid), here.filter((v) => !isSaid(v) && isCorrectable(v))];
        const entries = [...new Set(own.map((v) => v.entry))];
        return (
          <section key={section.key}>
            <div className="with-way">
              <h2>{section.title.en}</h2>
              {data.advises && section.confidential ? <GrantAdjustment name={data.name} act={act} /> : null}
              {judged && entries.length > 0 && !section.confidential ? (
                <AddTask section={section.key} day={askDay} act={act} />
              ) : null}
            </div>
            {entries.length === 0 ? <p className="quiet">{silence(section)}</p> : null}
            <Totals values={here} />
            {summarisable(section, own, data).map((scope) => (
              <SectionSummary
                key={scope}
                place={{ scope, section: section.key }}
                said={data.summaries.find((d) => d.scope === scope && d.section === section.key) ?? null}
                act={act}
              />
            ))}
            {entries.map((entry) => {
              const [answered, silent] = [own, unsaid].map((list) => list.filter((v) => v.entry === entry).map(line));
              return (
                <div key={entry}>
                  <ul className="value-list">{answered}</ul>
                  {judged && silent && silent.length > 0 ? (
                    <details className="unsaid">
                      <summary>Not answered: {silent.length}</summary>
                      <ul className="value-list">{silent}</ul>
                    </details>
                  ) : null}
                </div>
              );
            })}
          </section>
        );
      })}
    </>
  );
}
