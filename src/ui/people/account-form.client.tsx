"use client";

import { Button, Checkbox, Input } from "antd";
import { type ReactNode, useActionState, useId, useState } from "react";

/** A short form of the account pages. What was typed stays when the answer is a problem. */
export interface AccountField {
  readonly name: string;
  readonly label: string;
  readonly kind: "text" | "email" | "password" | "code" | "check";
  readonly help?: string;
  readonly autoComplete?: string;
  /** What stands in it at first. */
  readonly initial?: string;
}

interface State {
  readonly done: boolean;
  readonly problems: readonly string[];
}

interface Props {
  readonly action: (state: State, form: FormData) => Promise<State>;
  readonly fields: readonly AccountField[];
  readonly hidden?: Readonly<Record<string, string>>;
  readonly submit: string;
  /** The sentence for each problem, and the field beside which it stands (none: above the form). */
  readonly problems: Readonly<Record<string, { readonly text: string; readonly field?: string }>>;
  readonly done: ReactNode;
  /** What is said while something is away, whatever was typed. */
  readonly unavailable: string;
  /** A sentence above the form, for as long as it is there. */
  readonly intro?: string;
}

function Field({
  field,
  problem,
  value,
  onChange,
}: {
  field: AccountField;
  problem: string | undefined;
  value: string;
  onChange: (value: string) => void;
}) {
  const id = useId();
  const described =
    [field.help ? `${id}-help` : "", problem ? `${id}-wrong` : ""].filter(Boolean).join(" ") || undefined;
  if (field.kind === "check")
    return (
      <div className="field">
        <Checkbox
          id={id}
          name={field.name}
          checked={value === "on"}
          onChange={(e) => onChange(e.target.checked ? "on" : "")}
          aria-describedby={described}
        >
          {field.label}
        </Checkbox>
        {problem ? <Problem id={`${id}-wrong`} text={problem} /> : null}
      </div>
    );
  const shared = {
    id,
    name: field.name,
    value,
    autoComplete: field.autoComplete,
    "aria-describedby": described,
    "aria-invalid": problem !== undefined,
  };
  return (
    <div className="field">
      <label htmlFor={id}>{field.label}</label>
      {field.help ? (
        <p id={`${id}-help`} className="help">
          {field.help}
        </p>
      ) : null}
      {field.kind === "password" ? (
        <Input.Password {...shared} onChange={(e) => onChange(e.target.value)} />
      ) : (
        <Input
          {...shared}
          {...(field.kind === "code"
            ? { inputMode: "numeric", autoComplete: "one-time-code", autoFocus: true }
            : { type: field.kind })}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
      {problem ? <Problem id={`${id}-wrong`} text={problem} /> : null}
    </div>
  );
}

function Problem({ id, text }: { id: string; text: string }) {
  return (
    <p id={id} className="wrong" role="alert">
      {text}
    </p>
  );
}

export function AccountForm({ action, fields, hidden, submit, problems, done, unavailable, intro }: Props) {
  const [state, run, busy] = useActionState(action, { done: false, problems: [] });
  const [values, setValues] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(fields.map((field) => [field.name, field.initial ?? ""])),
  );
  if (state.done) return <div role="status">{done}</div>;
  const away = state.problems.includes("unavailable") ? [unavailable] : [];
  const of = (name: string) => state.problems.map((code) => problems[code]).find((p) => p?.field === name)?.text;
  const general = state.problems.flatMap((code) =>
    problems[code] && !problems[code].field ? [problems[code].text] : [],
  );
  return (
    <form action={run} className="account-form" noValidate>
      {intro ? <p>{intro}</p> : null}
      {[...away, ...general].map((text) => (
        <Problem key={text} id="form-wrong" text={text} />
      ))}
      {Object.entries(hidden ?? {}).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {fields.map((field) => (
        <Field
          key={field.name}
          field={field}
          problem={of(field.name)}
          value={values[field.name] ?? ""}
          onChange={(value) => setValues((all) => ({ ...all, [field.name]: value }))}
        />
      ))}
      <Button type="primary" htmlType="submit" loading={busy}>
        {submit}
      </Button>
    </form>
  );
}
