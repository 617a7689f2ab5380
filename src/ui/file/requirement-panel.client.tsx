"use client";

import { Button } from "antd";
import { requirementKey, resultKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { sentence } from "../../text/sentence";
import { languagesSentence, takenSentence } from "../../text/words/taken";
import type { FileData } from "../../views/assessment/file-data";
import { OpenAsks } from "../asks/open-asks.client";
import { requirementName } from "../assessment/entry-name";
import { Findings } from "../assessment/findings";
import { ReturnForm } from "../evidence/return-form.client";
import { PapersHere } from "../post/papers-here.client";
import { Cases } from "../rulings/cases.client";
import { standingWord } from "./requirement-list.client";
import { RequirementPresses } from "./requirement-presses.client";
import type { useFileWork } from "./use-file-work.client";
import { ValuePanel } from "./value-panel.client";

type Work = ReturnType<typeof useFileWork>;

/** What became of the last act, and the way to take it back. */
export function Said({ work: { said, undoable, undo } }: { work: Work }) {
  if (!said) return null;
  return (
    <p role="status" className="said">
      {said}{" "}
      {undoable ? (
        <Button size="small" onClick={() => void undo()}>
          Undo <span className="key">u</span>
        </Button>
      ) : null}
    </p>
  );
}

/** Which files are taken, and in which languages they are read, where the rulebook says so. */
function Taken({ rules }: { rules: FileData["documentRules"][string] | undefined }) {
  const words = [
    ...(rules?.languages ? [languagesSentence("en", rules.languages)] : []),
    ...(rules?.takes ? [takenSentence("en", rules.takes)] : []),
  ].filter(Boolean);
  return words.length > 0 ? <p className="quiet">{words.join(" ")}</p> : null;
}

/** What stands beside the evidence of one requirement: the acts, what is claimed, and the rules that use it. */
export function RequirementPanel({
  data,
  lead,
  askDay,
  act,
  work,
}: {
  data: FileData;
  lead: boolean;
  askDay: string;
  act: ActOnFile;
  work: Work;
}) {
  const { requirement, place, form, setForm, after, shows, asks, settle } = work;
  if (!requirement || !place) return null;
  return (
    <>
      <h2>
        {requirementName(data, requirement)} <span className="quiet">{standingWord(requirement)}</span>
      </h2>
      <Taken rules={data.documentRules[requirement.key]} />
      {form === "none" ? (
        <RequirementPresses
          requirement={requirement}
          preparing={data.assessment.file.stage === "preparing"}
          lead={lead}
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
            form === "ask" ? sentence(data.writesIn, "ask.draft", { title: requirement.title[data.writesIn] }) : ""
          }
          due={askDay}
          aids={data.writing}
          onCancel={() => setForm("none")}
          onSend={async (input) =>
            form === "return"
              ? after(
                  await act("return-evidence", { ...place, ...input }),
                  `${requirementName(data, requirement)}: sent back. The applicant is told in ten seconds.`,
                  place,
                )
              : after(
                  await act("ask-applicant", { ...place, text: input.text, due: input.due }),
                  "Asked. The applicant is told in ten seconds.",
                  place,
                  true,
                )
          }
        />
      )}
      <PapersHere
        papers={data.papers.filter((p) => requirementKey(p) === resultKey(requirement))}
        announced={data.announced.filter((p) => requirementKey(p) === resultKey(requirement))}
        act={act}
      />
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
  );
}
