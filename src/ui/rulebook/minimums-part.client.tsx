"use client";

import { Button, Input, Select } from "antd";
import type { Minimum } from "../../core/language/sittings";
import type { Measure } from "../../core/rulebook/rulebook";
import { CEFR } from "../../core/rules/compare";
import { type FormProps, Labelled, Pick, put } from "./part-fields.client";

const filled = (text: string): string | undefined => (text.trim() === "" ? undefined : text.trim());

function MinimumFields({ context, value, onChange, onRemove }: FormProps<Minimum> & { readonly onRemove: () => void }) {
  const { disabled, office } = context;
  const test = office.tests.find((t) => t.key === value.test);
  const title = test?.title.en ?? value.test;
  const setPart = (key: string, least: string | undefined) => {
    const parts = put({ ...value.parts }, key, least);
    onChange(put(value, "parts", Object.keys(parts).length > 0 ? parts : undefined));
  };
  return (
    <fieldset className="plan-wide plan-form">
      <legend>{title}</legend>
      {test?.total ? (
        <Labelled label={`${title}: total at least`}>
          {(id) => (
            <Input
              id={id}
              disabled={disabled}
              value={value.total ?? ""}
              onChange={(e) => onChange(put(value, "total", filled(e.target.value)))}
            />
          )}
        </Labelled>
      ) : null}
      <Labelled label={`${title}: every part at least`}>
        {(id) => (
          <Input
            id={id}
            disabled={disabled}
            value={value.every ?? ""}
            onChange={(e) => onChange(put(value, "every", filled(e.target.value)))}
          />
        )}
      </Labelled>
      {test?.parts.map((part) => (
        <Labelled key={part.key} label={`${title}: ${part.title.en} at least`}>
          {(id) => (
            <Input
              id={id}
              disabled={disabled}
              placeholder={value.every ?? ""}
              value={value.parts?.[part.key] ?? ""}
              onChange={(e) => setPart(part.key, filled(e.target.value))}
            />
          )}
        </Labelled>
      ))}
      {test?.language === null ? null : (
        <Pick
          label={`${title}: level at least`}
          disabled={disabled}
          value={value.level ?? "none"}
          options={["none" as const, ...CEFR].map((level) => ({ value: level, label: level }))}
          onChange={(level) => onChange(put(value, "level", level === "none" ? undefined : level))}
        />
      )}
      <Pick
        label={`${title}: counted`}
        disabled={disabled}
        value={value.mode}
        options={[
          { value: "single", label: "one sitting has to reach everything" },
          { value: "combine", label: "the best of each part over all valid sittings" },
        ]}
        onChange={(mode) => onChange({ ...value, mode })}
      />
      {disabled ? null : (
        <Button size="small" type="text" onClick={onRemove}>
          Take {title} out
        </Button>
      )}
    </fieldset>
  );
}

/** The accepted tests with what each has to reach. */
export function MinimumsPart({ context, value, onChange }: FormProps<Extract<Measure, { kind: "proof" }>>) {
  const { disabled, office } = context;
  const { minimums } = value;
  const rest = office.tests.filter((t) => !minimums.some((m) => m.test === t.key));
  return (
    <>
      {minimums.map((minimum) => (
        <MinimumFields
          key={minimum.test}
          context={context}
          value={minimum}
          onChange={(next) =>
            onChange({ ...value, minimums: minimums.map((m) => (m.test === minimum.test ? next : m)) })
          }
          onRemove={() => onChange({ ...value, minimums: minimums.filter((m) => m.test !== minimum.test) })}
        />
      ))}
      {disabled || rest.length === 0 ? null : (
        <Labelled label="Accept a test">
          {(id) => (
            <Select<string | null>
              id={id}
              value={null}
              showSearch={{ optionFilterProp: "label" }}
              options={rest.map((t) => ({ value: t.key, label: t.title.en }))}
              onChange={(test) => {
                if (test !== null) onChange({ ...value, minimums: [...minimums, { test, mode: "single" }] });
              }}
            />
          )}
        </Labelled>
      )}
    </>
  );
}
