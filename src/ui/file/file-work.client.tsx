"use client";

import { Button } from "antd";
import { readAnswerKey, resultKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { sentence } from "../../text/sentence";
import type { FileData } from "../../views/assessment/file-data";
import { Findings } from "../assessment/findings";
import { DecisionPanel } from "../decision/decision-panel.client";
import { Evidence } from "../evidence/file-evidence.client";
import { OpenAsks } from "../evidence/open-asks.client";
import { ReturnForm } from "../evidence/return-form.client";
import { Cases } from "../rulings/cases.client";
import { NextFile } from "./next-file.client";
import { RequirementList, standingWord } from "./requirement-list.client";
import { RequirementPresses } from "./requirement-presses.client";
import { useFileKeys, useFileWork } from "./use-file-work.client";
import { ValuePanel } from "./value-panel.client";

interface Props {
  readonly data: FileData;
  readonly me: { readonly id: string; readonly lead: boolean };
  readonly askDay: string;
  readonly act: ActOnFile;
}

/** The officer's page of one file: the requirements, the evidence of the chosen one, and what stands beside it. */
export function FileWork({ data, me, askDay, act }: Props) {
  const work = useFileWork(data, act);
  useFileKeys(data, work);
  const { requirement, place, form, setForm, after, shows, asks, settle, said, undoable } = work;
  return (
    <div
      className="file-work"
      data-grid={shows.some((key) => readAnswerKey(key).section === "courses") ? "true" : undefined}
    >
      <RequirementList data={data} at={work.at} firstOpen={work.firstOpen} choose={work.choose} />
      <section className="evidence" aria-label="Evidence">
        {requirement ? (
          <Evidence key={resultKey(requirement)} data={data} requirement={requirement} act={act} />
        ) : (
          <>
            <Cases data={data} act={act} />
            <Findings data={data} act={act} />
          </>
        )}
      </section>
      <section className="claims" aria-label="Claims, rules and acts">
        <NextFile number={data.number} done={data.assessment.file.turn !== "office"} />
        {said ? (
          <p role="status" className="said">
            {said}{" "}
            {undoable ? (
              <Button size="small" onClick={() => void work.undo()}>
                Undo <span className="key">u</span>
              </Button>
            ) : null}
          </p>
        ) : null}
        {requirement && place ? (
          <>
            <h2>
              {requirement.title.en} <span className="quiet">{standingWord(requirement)}</span>
            </h2>
            {form === "none" ? (
              <RequirementPresses
                requirement={requirement}
                preparing={data.assessment.file.stage === "preparing"}
                lead={me.lead}
                shown={shows.length}
                may={{ judge: work.canJudge, raise: work.canRaise }}
                on={{
                  accept: work.accept,
                  acceptWhole: work.acceptWhole,
                  confirm: work.confirmAll,
                  ask: () => setForm("ask"),
                  sendBack: () => setForm("return"),
                  excuse: work.excuse,
                }}
              />
            ) : (
              <ReturnForm
                kind={form}
                draft={
                  form === "ask"
                    ? sentence(data.writesIn, "ask.draft", { title: requirement.title[data.writesIn] })
                    : ""
                }
                due={askDay}
                onCancel={() => setForm("none")}
                onSend={async (input) =>
                  form === "return"
                    ? after(
                        await act("return-evidence", { ...place, ...input }),
                        `${requirement.title.en}: sent back. The applicant is told in ten seconds.`,
                        place,
                      )
                    : after(
                        await act("ask-applicant", { ...place, text: input.text, due: input.due }),
                        "Asked. The applicant is told in ten seconds.",
                        place,
                      )
                }
              />
            )}
            <OpenAsks asks={asks} onSettle={settle} />
            <ValuePanel
              data={data}
              requirement={requirement}
              act={act}
              onConfirm={async (values, note) =>
                after(
                  await act("confirm-values", { values: [...values], note }),
                  values.length === 1 ? "Confirmed." : `${values.length} values confirmed.`,
                )
              }
              onTakeBack={async (line) => after(await act("take-back-line", line), "The line was taken out.")}
            />
            <Cases data={data} about={requirement} act={act} />
            <Findings data={data} about={requirement} />
          </>
        ) : (
          <>
            <OpenAsks asks={asks} onSettle={settle} />
            <DecisionPanel data={data} me={me} act={act} after={after} />
          </>
        )}
      </section>
    </div>
  );
}
