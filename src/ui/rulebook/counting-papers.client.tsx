"use client";

import { Checkbox, Select } from "antd";
import type { Field } from "../../core/rulebook/section";
import type { FormProps } from "./part-fields.client";

/** Which of the office's papers count, and for which applicant groups. */
export function CountingPapers({ context, value, onChange }: FormProps<Field["papers"]>) {
  const { office, groups, disabled } = context;
  const counting: NonNullable<Field["papers"]> = value ?? office.papers.map(({ key }) => ({ key }));
  return (
    <fieldset className="plan-wide">
      <legend>Papers that count</legend>
      {office.papers.map(({ key, title }) => {
        const own = counting.find((c) => c.key === key);
        const others = counting.filter((c) => c.key !== key);
        const put = (next: (typeof counting)[number] | null) => onChange(next ? [...others, next] : others);
        return (
          <div key={key} className="paper-line">
            <Checkbox
              disabled={disabled}
              checked={own !== undefined}
              onChange={(e) => put(e.target.checked ? { key } : null)}
            >
              {title.en}
            </Checkbox>
            {own ? (
              <Select
                size="small"
                mode="multiple"
                aria-label={`Groups for which ${title.en} counts`}
                placeholder="for everybody"
                disabled={disabled}
                value={own.groups ?? []}
                options={groups.map((g) => ({ value: g.key, label: g.title }))}
                onChange={(picked: string[]) => put(picked.length > 0 ? { key, groups: picked } : { key })}
              />
            ) : null}
          </div>
        );
      })}
      {office.papers.length === 0 ? <p className="quiet">The office’s standards name no papers yet.</p> : null}
    </fieldset>
  );
}
