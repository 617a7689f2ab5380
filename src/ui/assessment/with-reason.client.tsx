"use client";

import { Button, Input } from "antd";
import { type ReactNode, useId, useState } from "react";
import { useAsking } from "../frame/unanswered.client";

/**
 * An act that needs a reason: a button that unfolds to what will happen, what is asked for it, and why. Nothing typed is lost when it
 * is refused.
 */
export function WithReason({
  open: word,
  does,
  label,
  consequence,
  ready = true,
  unfolded = false,
  quiet = false,
  act,
  children,
}: {
  /** On the button that unfolds it. */
  open: string;
  /** On the button that does it. */
  does: string;
  /** What the reason is for. */
  label: string;
  consequence: string;
  /** Whether everything else that it needs is there. */
  ready?: boolean;
  /** Whether it is unfolded to begin with. */
  unfolded?: boolean;
  /** One of many such ways on a page: its button is a word among others. */
  quiet?: boolean;
  act: (reason: string) => Promise<string | null>;
  children?: ReactNode;
}) {
  const id = useId();
  const [shown, setShown] = useState(unfolded);
  const [reason, setReason] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  if (!shown)
    return quiet ? (
      <button type="button" className="link-button" onClick={() => setShown(true)}>
        {word}
      </button>
    ) : (
      <div className="presses">
        <Button onClick={() => setShown(true)}>{word}</Button>
      </div>
    );
  const send = () =>
    begin(async () => {
      const refused = await act(reason);
      setWrong(refused);
      if (refused !== null) return;
      setShown(false);
      setReason("");
    });
  return (
    <div className="return-form">
      <p>{consequence}</p>
      {children}
      <div className="field">
        <label htmlFor={id}>{label}</label>
        <Input.TextArea
          id={id}
          autoSize={{ minRows: 2 }}
          maxLength={500}
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </div>
      <div className="presses">
        <Button type="primary" loading={busy} disabled={!ready || reason.trim() === ""} onClick={send}>
          {does}
        </Button>
        <Button onClick={() => setShown(false)}>Not now</Button>
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </div>
    </div>
  );
}
