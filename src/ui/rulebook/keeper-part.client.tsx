"use client";

import { Checkbox, Input } from "antd";
import type { Field } from "../../core/rulebook/section";
import { EMPTY_WORDS, Labelled, Words } from "./part-fields.client";

/** Whether another system owns a value: what it is called, and where changes are made. */
export function KeeperPart({
  disabled,
  value,
  onChange,
}: {
  disabled: boolean;
  value: Field["keptBy"];
  onChange: (keptBy: Field["keptBy"]) => void;
}) {
  return (
    <>
      <div className="plan-field">
        <Checkbox
          disabled={disabled}
          checked={value !== undefined}
          onChange={(e) => onChange(e.target.checked ? { name: EMPTY_WORDS } : undefined)}
        >
          it is kept in another system and changed only there
        </Checkbox>
      </div>
      {value ? (
        <>
          <Words
            label="The system that keeps it"
            disabled={disabled}
            value={value.name}
            onChange={(name) => onChange({ ...value, name })}
          />
          <Labelled label="Its page, as an address that begins with https://">
            {(id) => (
              <Input
                id={id}
                size="small"
                disabled={disabled}
                maxLength={300}
                value={value.link ?? ""}
                onChange={(e) => onChange({ name: value.name, ...(e.target.value ? { link: e.target.value } : {}) })}
              />
            )}
          </Labelled>
        </>
      ) : null}
    </>
  );
}
