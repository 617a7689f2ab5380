"use client";

import { Button, Input } from "antd";
import { useId, useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** Publishes a draft, after saying exactly what happens. */
export function PublishForm({
  consequence,
  label = "Publish it",
  publish,
}: {
  consequence: string;
  label?: string;
  publish: (note: string) => Promise<string | null>;
}) {
  const id = useId();
  const [note, setNote] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  return (
    <div className="publish-form">
      <p>{consequence}</p>
      <label htmlFor={id}>What this version is about (for colleagues)</label>
      <Input id={id} value={note} maxLength={500} onChange={(e) => setNote(e.target.value)} />
      <Button type="primary" loading={busy} onClick={() => begin(async () => setWrong(await publish(note)))}>
        {label}
      </Button>
      <Wrong text={wrong} />
    </div>
  );
}
