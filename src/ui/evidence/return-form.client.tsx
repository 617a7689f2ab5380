"use client";

import { Button, Input, Select } from "antd";
import { useEffect, useRef, useState } from "react";
import { fieldsIn } from "../../core/conversation/merge";
import type { WritingAids } from "../../views/conversation/writing-aids";
import { FieldsLeft, StockText } from "../conversation/stock-text.client";
import { DayInput } from "../form/fields/day-input.client";
import { useAsking } from "../frame/unanswered.client";

/** Sends something back or asks for something, with a date; it says what will happen before it does. */
export function ReturnForm({
  kind,
  draft,
  due,
  aids,
  onSend,
  onCancel,
}: {
  kind: "return" | "ask";
  /** What is written to begin with. */
  draft: string;
  due: string;
  aids: WritingAids;
  onSend: (input: { readonly reason: string; readonly text: string; readonly due: string }) => Promise<string | null>;
  onCancel: () => void;
}) {
  const offered = aids.reasons.filter((r) => r.offered);
  const [reason, setReason] = useState((offered.find((r) => r.key === "incomplete") ?? offered[0])?.key ?? "");
  const [text, setText] = useState(draft);
  const [day, setDay] = useState(due);
  const [busy, begin] = useAsking();
  const box = useRef<HTMLFormElement>(null);
  useEffect(() => box.current?.querySelector<HTMLElement>("input, textarea")?.focus(), []);
  const ready = day !== "" && (kind === "return" || text.trim() !== "") && fieldsIn(text).length === 0;
  const send = () => begin(() => onSend({ reason, text, due: day }));
  return (
    <form
      ref={box}
      className="return-form"
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" && (e.ctrlKey || e.metaKey) && ready && !busy) void send();
      }}
    >
      {kind === "return" ? (
        <div className="field">
          <label htmlFor="return-reason">Why it goes back</label>
          <Select
            id="return-reason"
            value={reason}
            onChange={setReason}
            showSearch={{ optionFilterProp: "label" }}
            options={offered.map((r) => ({ value: r.key, label: r.title }))}
            style={{ width: "100%" }}
          />
        </div>
      ) : null}
      <div className="field">
        <label htmlFor="return-text">{kind === "return" ? "Note to the applicant" : "What we ask for"}</label>
        <Input.TextArea
          id="return-text"
          autoSize={{ minRows: 2 }}
          value={text}
          onChange={(e) => setText(e.target.value)}
          maxLength={2000}
        />
      </div>
      <FieldsLeft text={text} />
      <StockText id="return-take" use={kind} aids={aids} text={text} onText={setText} />
      <div className="field">
        <label htmlFor="return-due">By</label>
        <DayInput id="return-due" value={day} precision="day" locale="en" onTake={setDay} />
      </div>
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy} disabled={!ready}>
          {kind === "return" ? "Send it back" : "Send the question"} <span className="key">Ctrl ↵</span>
        </Button>
        <Button onClick={onCancel}>Not now</Button>
      </div>
    </form>
  );
}
