"use client";

import { Button, Input } from "antd";
import { useId } from "react";

/** Looks through a list by words; the address keeps what was looked for, and what the list is narrowed to. */
export function FindForm({
  action,
  kept,
  label,
  placeholder,
  find,
}: {
  /** The address of the list. */
  action: string;
  /** What else stands in its address. */
  kept: Readonly<Record<string, string>>;
  label: string;
  placeholder: string;
  find: string;
}) {
  const id = useId();
  return (
    <form className="find-form" action={action}>
      {Object.entries(kept).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <label htmlFor={id}>{label}</label>
      <Input id={id} name="find" defaultValue={find} placeholder={placeholder} allowClear />
      <Button htmlType="submit">Find</Button>
    </form>
  );
}
