"use client";

import { Input, InputNumber, Select } from "antd";
import { type ReactNode, useId } from "react";
import { DayInput } from "../form/fields/day-input.client";

/** The fields of the office's planning forms: a label, an input, and what is wrong with it. */
interface Shared {
  readonly label: string;
  readonly wrong?: string | undefined;
  readonly disabled?: boolean;
  readonly help?: string;
}

function Row({ label, wrong, help, id, children }: Shared & { id: string; children: ReactNode }) {
  return (
    <div className="plan-field">
      <label htmlFor={id}>{label}</label>
      {help ? <span className="quiet">{help}</span> : null}
      {children}
      {wrong ? (
        <span className="wrong" role="alert">
          {wrong}
        </span>
      ) : null}
    </div>
  );
}

export function TextField({
  value,
  onChange,
  long = false,
  ...row
}: Shared & { value: string; onChange: (value: string) => void; long?: boolean }) {
  const id = useId();
  const shared = { id, value, disabled: row.disabled ?? false, status: row.wrong ? ("error" as const) : ("" as const) };
  return (
    <Row {...row} id={id}>
      {long ? (
        <Input.TextArea {...shared} autoSize={{ minRows: 2 }} onChange={(e) => onChange(e.target.value)} />
      ) : (
        <Input {...shared} onChange={(e) => onChange(e.target.value)} />
      )}
    </Row>
  );
}

export function NumberField({
  value,
  onChange,
  ...row
}: Shared & { value: number; onChange: (value: number) => void }) {
  const id = useId();
  return (
    <Row {...row} id={id}>
      <InputNumber
        id={id}
        value={value}
        disabled={row.disabled ?? false}
        status={row.wrong ? "error" : ""}
        onChange={(next) => onChange(next ?? 0)}
      />
    </Row>
  );
}

interface Option {
  readonly value: string;
  readonly label: string;
}

export function PickField({
  value,
  options,
  onChange,
  ...row
}: Shared & { value: string | null; options: readonly Option[]; onChange: (value: string) => void }) {
  const id = useId();
  return (
    <Row {...row} id={id}>
      <Select
        id={id}
        value={value}
        disabled={row.disabled ?? false}
        status={row.wrong ? "error" : ""}
        showSearch={{ optionFilterProp: "label" }}
        options={options.map((o) => ({ ...o }))}
        onChange={(next: string) => onChange(next)}
      />
    </Row>
  );
}

export function PicksField({
  value,
  options,
  free = false,
  onChange,
  ...row
}: Shared & {
  value: readonly string[];
  options: readonly Option[];
  /** Words of one's own may be typed. */
  free?: boolean;
  onChange: (value: string[]) => void;
}) {
  const id = useId();
  return (
    <Row {...row} id={id}>
      <Select
        id={id}
        mode={free ? "tags" : "multiple"}
        value={[...value]}
        disabled={row.disabled ?? false}
        status={row.wrong ? "error" : ""}
        showSearch={{ optionFilterProp: "label" }}
        options={options.map((o) => ({ ...o }))}
        onChange={(next: string[]) => onChange(next)}
      />
    </Row>
  );
}

/** A day, or a day and a time on the office's clock. */
export function MomentField({
  value,
  time,
  onChange,
  ...row
}: Shared & { value: string; time: boolean; onChange: (value: string) => void }) {
  const id = useId();
  return (
    <Row {...row} id={id}>
      <DayInput
        id={id}
        value={value}
        precision={time ? "minute" : "day"}
        locale="en"
        disabled={row.disabled ?? false}
        invalid={row.wrong !== undefined}
        onTake={onChange}
      />
    </Row>
  );
}
