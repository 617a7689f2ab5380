"use client";

import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatDate } from "../../text/format";
import type { FileData, FileTask } from "../../views/assessment/file-data";
import { WithReason } from "../assessment/with-reason.client";
import { MomentField } from "../catalogue/fields.client";
import { OfficeDay } from "../frame/office-day.client";
import { Wrong } from "../frame/wrong";

function Task({ task, data, act }: { task: FileTask; data: FileData; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const section = data.sections.find((s) => s.key === task.section)?.title.en;
  const { done } = task;
  return (
    <li>
      <span>
        <span className="strong">{task.title}</span>{" "}
        <span className="quiet">
          {section ? `${section} · ` : ""}
          {done ? (
            <>
              {done.outcome} · {done.by} on <OfficeDay at={done.at} />
            </>
          ) : (
            `by ${formatDate("en", task.due)} · ${task.by}`
          )}
        </span>
      </span>
      {done ? null : (
        <>
          <WithReason
            open="It is done"
            does="It is done"
            label="What came of it"
            consequence="It leaves the list; what came of it stays with the file."
            act={(outcome) => act("finish-task", { taskId: task.id, outcome })}
          />
          <button
            type="button"
            className="link-button"
            onClick={async () => setWrong(await act("drop-task", { taskId: task.id }))}
          >
            Nothing is to be done
          </button>
        </>
      )}
      <Wrong text={wrong} />
    </li>
  );
}

/** What officers made work of in this file: open, and what came of the rest. */
export function Tasks({ data, act }: { data: FileData; act: ActOnFile }) {
  if (data.tasks.length === 0) return null;
  const [open, over] = [data.tasks.filter((t) => t.done === null), data.tasks.filter((t) => t.done !== null)];
  const lines = (all: readonly FileTask[]) => all.map((t) => <Task key={t.id} task={t} data={data} act={act} />);
  return (
    <aside className="doubles" aria-label="Work to be done">
      <ul className="plain-list">{lines(open)}</ul>
      {over.length > 0 ? (
        <details>
          <summary className="quiet">
            {over.length} {over.length === 1 ? "thing was" : "things were"} seen to
          </summary>
          <ul className="plain-list">{lines(over)}</ul>
        </details>
      ) : null}
    </aside>
  );
}

/** Makes work of what an applicant stated: for whoever works on the file, by a day. The applicant reads nothing of it. */
export function AddTask({ section, day, act }: { section: string; day: string; act: ActOnFile }) {
  const [due, setDue] = useState(day);
  return (
    <WithReason
      open="Make work of it"
      does="Add it to the work"
      label="What is to be done"
      consequence="It stands in the list of turns until it is done. The applicant reads nothing of it."
      quiet
      ready={due !== ""}
      act={(title) => act("add-task", { section, title, due })}
    >
      <MomentField label="By" time={false} value={due} onChange={setDue} />
    </WithReason>
  );
}
