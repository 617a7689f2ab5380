"use client";

import { DatePicker, Input, InputNumber, Select } from "antd";
import dayjs from "dayjs";
import { type ReactNode, useId } from "react";

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

const DAY_FORMATS = ["D MMM YYYY", "YYYY-MM-DD"];
const MOMENT_FORMATS = ["D MMM YYYY, HH:mm", "YYYY-MM-DD HH:mm"];

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
      {/* biome-ignore lint/a11y/noStaticElementInteractions: Enter takes the typed day and must not send the form */}
      <div onKeyDown={(e) => (e.key === "Enter" ? e.preventDefault() : undefined)}>
        <DatePicker
          id={id}
          value={value === "" ? null : dayjs(value)}
          disabled={row.disabled ?? false}
          status={row.wrong ? "error" : ""}
          format={time ? MOMENT_FORMATS : DAY_FORMATS}
          showTime={time ? { format: "HH:mm" } : false}
          onChange={(next) => onChange(next ? next.format(time ? "YYYY-MM-DDTHH:mm" : "YYYY-MM-DD") : "")}
        />
      </div>
    </Row>
  );
}
