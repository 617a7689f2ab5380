"use client";

import { Checkbox } from "antd";
import type { Field } from "../../core/rulebook/section";
import { NumberBox, Pick, plain, put } from "./part-fields.client";

/** How much may be answered in a field, and whether the same may be answered again. */
interface Props {
  readonly value: Field;
  readonly disabled: boolean;
  readonly onChange: (next: Field) => void;
}

/** Stands for a field whose answers may come again; the empty word for one whose answers may not. */
const ANYTIME = "*";

export function OnceInList({ value, siblings, disabled, onChange }: Props & { siblings: readonly Field[] }) {
  return (
    <Pick
      label="The same answer again in the list"
      disabled={disabled}
      value={value.once === undefined ? ANYTIME : (value.once.within ?? "")}
      options={[
        { value: ANYTIME, label: "is allowed" },
        { value: "", label: "is not allowed" },
        ...siblings.map((f) => ({ value: f.key, label: `not with the same ${f.title.en || f.key}` })),
      ]}
      onChange={(within) =>
        onChange(
          put(
            value,
            "once",
            within === ANYTIME ? undefined : { except: value.once?.except ?? [], ...(within === "" ? {} : { within }) },
          ),
        )
      }
    />
  );
}

export function Limits({ value, disabled, onChange }: Props) {
  return (
    <>
      <NumberBox
        label="At least"
        disabled={disabled}
        value={value.least}
        onChange={(least) => onChange(put(value, "least", least))}
      />
      <NumberBox
        label="At most"
        disabled={disabled}
        value={value.most}
        onChange={(most) => onChange(put(value, "most", most))}
      />
    </>
  );
}

export function StatementLength({ value, disabled, onChange }: Props) {
  const { length } = value;
  return (
    <>
      <Pick
        label="Counted in"
        disabled={disabled}
        value={length?.unit ?? "words"}
        options={plain(["words", "characters"] as const)}
        onChange={(unit) => onChange({ ...value, length: { most: 500, strict: true, ...length, unit } })}
      />
      <NumberBox
        label="At least"
        disabled={disabled}
        value={length?.least}
        onChange={(least) =>
          onChange({
            ...value,
            length: put({ unit: "words" as const, most: 500, strict: true, ...length }, "least", least),
          })
        }
      />
      <NumberBox
        label="At most"
        disabled={disabled}
        value={length?.most}
        onChange={(most) =>
          onChange({ ...value, length: { unit: "words", strict: true, ...length, most: most ?? 500 } })
        }
      />
      <div className="plan-field">
        <Checkbox
          disabled={disabled}
          checked={length?.strict ?? true}
          onChange={(e) =>
            onChange({ ...value, length: { unit: "words", most: 500, ...length, strict: e.target.checked } })
          }
        >
          a limit, not a guide
        </Checkbox>
      </div>
    </>
  );
}
