"use client";

import { Checkbox, Select } from "antd";
import type { DocumentRequirement } from "../../core/rulebook/requirement";
import type { FileFormat, Takes } from "../../core/rulebook/takes";
import { languageOptions } from "../../text/words/code-lists";
import { EMPTY_WORDS, Labelled, NumberBox, Pick, put, Words } from "./part-fields.client";

type Formats = "both" | FileFormat;

/** Nothing where nothing is said: then everything is taken as everywhere. */
const orNone = (takes: Takes): Takes | undefined => (Object.keys(takes).length === 0 ? undefined : takes);

/** Which files are taken, how large and how long, and in which languages they are read. */
export function TakesPart({
  disabled,
  value,
  onChange,
}: {
  disabled: boolean;
  value: DocumentRequirement;
  onChange: (next: DocumentRequirement) => void;
}) {
  const { takes = {}, languages } = value;
  const change = <K extends keyof Takes>(name: K, next: Takes[K] | undefined) =>
    onChange(put(value, "takes", orNone(put(takes, name, next))));
  const formats: Formats = takes.formats?.length === 1 ? (takes.formats[0] ?? "both") : "both";
  return (
    <fieldset className="plan-wide">
      <legend>What is taken</legend>
      <div className="plan-form">
        {value.picture ? null : (
          <Pick<Formats>
            label="Kinds of files"
            disabled={disabled}
            value={formats}
            options={[
              { value: "both", label: "PDF, JPEG and PNG" },
              { value: "pdf", label: "PDF only" },
              { value: "picture", label: "JPEG and PNG only" },
            ]}
            onChange={(kind) => change("formats", kind === "both" ? undefined : [kind])}
          />
        )}
        <NumberBox
          label="Largest file, in megabytes (else 10)"
          disabled={disabled}
          value={takes.mostMegabytes}
          onChange={(most) => change("mostMegabytes", most ?? undefined)}
        />
        <NumberBox
          label="Most pages"
          disabled={disabled}
          value={takes.mostPages}
          onChange={(most) => change("mostPages", most ?? undefined)}
        />
        <NumberBox
          label="Mark it with fewer pages than"
          disabled={disabled}
          value={takes.usualPages}
          onChange={(usual) => change("usualPages", usual ?? undefined)}
        />
      </div>
      <Checkbox
        disabled={disabled}
        checked={takes.refusesActive === true}
        onChange={(e) => change("refusesActive", e.target.checked || undefined)}
      >
        A PDF with a program in it is refused; else it is shown without
      </Checkbox>
      <Labelled label="Languages in which we read it" wide>
        {(id) => (
          <Select
            id={id}
            mode="multiple"
            placeholder="any language"
            showSearch={{ optionFilterProp: "label" }}
            disabled={disabled}
            value={languages?.read ?? []}
            options={languageOptions("en").map((o) => ({ value: o.value, label: o.label }))}
            onChange={(read: string[]) =>
              onChange(
                put(
                  value,
                  "languages",
                  read.length === 0 ? undefined : { translatedBy: EMPTY_WORDS, ...languages, read },
                ),
              )
            }
          />
        )}
      </Labelled>
      {languages ? (
        <Words
          label="Whoever may translate what is in another one"
          disabled={disabled}
          value={languages.translatedBy}
          onChange={(translatedBy) => onChange(put(value, "languages", { ...languages, translatedBy }))}
        />
      ) : null}
    </fieldset>
  );
}
