"use client";

import { readAnswerKey, resultKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import { OpenAsks } from "../asks/open-asks.client";
import { Findings } from "../assessment/findings";
import { DecisionPanel } from "../decision/decision-panel.client";
import { Evidence } from "../evidence/file-evidence.client";
import { PapersHere } from "../post/papers-here.client";
import { Cases } from "../rulings/cases.client";
import { NextFile } from "./next-file.client";
import { RequirementList } from "./requirement-list.client";
import { RequirementPanel, Said } from "./requirement-panel.client";
import { useFileKeys, useFileWork } from "./use-file-work.client";

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
  const { requirement, place, after, shows, asks, settle } = work;
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
        <Said work={work} />
        {requirement && place ? (
          <RequirementPanel data={data} lead={me.lead} askDay={askDay} act={act} work={work} />
        ) : (
          <>
            <PapersHere papers={data.papers.filter((p) => p.requirement === "")} announced={[]} act={act} />
            <OpenAsks asks={asks} onSettle={settle} />
            <DecisionPanel data={data} me={me} act={act} after={after} />
          </>
        )}
      </section>
    </div>
  );
}
