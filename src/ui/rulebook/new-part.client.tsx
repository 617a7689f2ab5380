"use client";

import { Button, Input } from "antd";
import { useActionState, useId } from "react";

/** Begins a shared part: a short name for rules, and a title in both languages. */
export function NewPart({ begin }: { begin: (before: string | null, form: FormData) => Promise<string | null> }) {
  const id = useId();
  const [wrong, send, busy] = useActionState(begin, null);
  const fields = [
    ["key", "Short name"],
    ["en", "Title in English"],
    ["fr", "Title in French"],
  ] as const;
  return (
    <form action={send} className="trial-options">
      {fields.map(([name, label]) => (
        <div key={name} className="plan-field">
          <label htmlFor={`${id}-${name}`}>{label}</label>
          <Input id={`${id}-${name}`} name={name} maxLength={name === "key" ? 40 : 200} required />
        </div>
      ))}
      <div className="presses">
        <Button htmlType="submit" loading={busy}>
          Begin a shared part
        </Button>
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </div>
    </form>
  );
}
