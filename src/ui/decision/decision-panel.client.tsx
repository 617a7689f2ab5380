"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import type { ActOnFile, FileActInput } from "../../core/file-acts/file-acts";
import { formatDate, formatMoment } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import { useDialogs } from "../frame/library.client";
import { OfficeDay } from "../frame/office-day.client";

interface Props {
  readonly data: FileData;
  readonly me: { readonly id: string };
  readonly act: ActOnFile;
  readonly after: (refused: string | null, done: string) => string | null;
}

type Choice = FileData["choices"][number];

function Prepared({ data, me, act, after, choice }: Props & { choice: Choice }) {
  const dialogs = useDialogs();
  const { decision } = choice;
  if (!decision) return null;
  const target = { choiceId: choice.id };
  const { lead } = choice.may;
  const mayRelease = lead && decision.preparedById !== me.id;
  const release = () =>
    void dialogs.confirm({
      title: "Release the decision",
      icon: null,
      content: `This tells ${data.name} at ${data.email}: ${decision.kind}, ${choice.code} ${choice.title.en}. It cannot be taken back.`,
      okText: "Release",
      cancelText: "Not now",
      onOk: async () => {
        after(await act("release-decision", target), "Released. The applicant is told now.");
      },
    });
  return (
    <>
      <p>
        <strong>{decision.kind}</strong>, prepared by {decision.preparedBy} on <OfficeDay at={decision.preparedAt} />
      </p>
      {decision.reason ? <p>The applicant reads: “{decision.reason}”</p> : null}
      {decision.note ? <p className="quiet">Note for us: {decision.note}</p> : null}
      {decision.conditions.map((c) => (
        <p key={c.rule} className="quiet">
          on condition: {c.way.en}
        </p>
      ))}
      {decision.releasedAt ? (
        <p>
          Released by {decision.releasedBy} on <OfficeDay at={decision.releasedAt} />
          {decision.answer
            ? `; the applicant ${decision.answer} it.`
            : decision.answerBy
              ? `; to be answered by ${formatDate("en", decision.answerBy)}.`
              : "."}
        </p>
      ) : (
        <div className="presses">
          {mayRelease ? (
            <Button type="primary" onClick={release}>
              Release
            </Button>
          ) : (
            <p className="quiet">
              {lead
                ? "You prepared it; another lead officer releases it."
                : `A lead officer of ${choice.code} releases it.`}
            </p>
          )}
          {choice.may.work ? (
            <Button onClick={() => void act("drop-decision", target).then((r) => after(r, "Taken back."))}>
              Take back
            </Button>
          ) : null}
        </div>
      )}
    </>
  );
}

function TextBox({
  id,
  label,
  hidden,
  value,
  onChange,
}: {
  id: string;
  label: string;
  hidden: boolean;
  value: string;
  onChange: (next: string) => void;
}) {
  return (
    <div className="field" hidden={hidden}>
      <label htmlFor={id}>{label}</label>
      <Input.TextArea
        id={id}
        autoSize={{ minRows: 2 }}
        maxLength={2000}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </div>
  );
}

function Preparing({ data, act, after, choice }: Props & { choice: Choice }) {
  const [reason, setReason] = useState("");
  const [note, setNote] = useState("");
  const result = data.assessment.choices.find((c) => c.id === choice.id);
  if (!result) return null;
  const confirmed = result.findings.every((f) => f.basis === "confirmed");
  const prepare = async (kind: FileActInput<"prepare-decision">["kind"]) =>
    after(
      await act("prepare-decision", {
        choiceId: choice.id,
        kind,
        reason: reason.trim() || null,
        note: note.trim() || null,
      }),
      `Prepared: ${kind}.`,
    );
  const complete = result.stage === "complete";
  const early = result.round === "open" && !choice.rolling;
  return (
    <>
      <p>
        <strong>{result.eligibility}</strong>
        {confirmed ? ", on confirmed values" : ", on claimed values"}
        {result.promise ? ` · ${result.promise.used} of ${result.promise.days} working days used` : ""}
        {result.promise?.due ? ` · promised by ${formatDate("en", result.promise.due)}` : ""}
      </p>
      {complete ? null : (
        <p className="quiet">
          The file is not complete: {result.stage}. Only a refusal can be prepared once it is submitted.
        </p>
      )}
      {choice.may.work ? null : <p className="quiet">The officers of {choice.code} prepare its decision.</p>}
      <TextBox
        id={`reason-${choice.id}`}
        label="Reason, for the applicant (needed for a refusal)"
        hidden={!choice.may.work}
        value={reason}
        onChange={setReason}
      />
      <TextBox
        id={`note-${choice.id}`}
        label={`Note, for the office alone${early ? " (needed for anything but a refusal: why it does not wait)" : ""}`}
        hidden={!choice.may.work}
        value={note}
        onChange={setNote}
      />
      {early ? (
        <p>
          The round is open until {formatMoment("en", result.closesAt, data.zone)} and does not decide as applications
          come: others may still apply for the same places.
        </p>
      ) : null}
      <div className="presses" hidden={!choice.may.work}>
        <Button
          type="primary"
          disabled={!complete || result.eligibility !== "eligible" || !confirmed}
          onClick={() => void prepare("offer")}
        >
          Prepare offer
        </Button>
        <Button
          disabled={!complete || result.eligibility !== "eligible on conditions"}
          onClick={() => void prepare("offer on conditions")}
        >
          Prepare offer on conditions
        </Button>
        <Button disabled={!complete} onClick={() => void prepare("waiting list")}>
          Prepare waiting list
        </Button>
        <Button disabled={result.stage === "preparing" || reason.trim() === ""} onClick={() => void prepare("refusal")}>
          Prepare refusal
        </Button>
      </div>
    </>
  );
}

/** Decisions: prepared by one person, released by another. */
export function DecisionPanel(props: Props) {
  return props.data.choices.map((choice) => (
    <div key={choice.id} className="decision-panel">
      <h2>
        Decision · {choice.code} {choice.title.en}
      </h2>
      {choice.decision ? <Prepared {...props} choice={choice} /> : <Preparing {...props} choice={choice} />}
    </div>
  ));
}
