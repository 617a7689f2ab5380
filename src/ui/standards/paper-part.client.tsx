"use client";

import { Input, Select } from "antd";
import { useState } from "react";
import { looksLike, type Paper } from "../../core/people/papers";
import { countryOptions } from "../../text/words/code-lists";
import { KeyBox, Labelled, Words } from "../rulebook/part-fields.client";

interface Props {
  readonly value: Paper;
  readonly disabled: boolean;
  readonly onChange: (next: Paper) => void;
}

/** A number typed here is held against what numbers look like, before anybody's real one is. */
function TryNumber({ numbers }: { numbers: readonly string[] }) {
  const [number, setNumber] = useState("");
  const fits = looksLike(number, numbers);
  return (
    <Labelled label="Try a number">
      {(id) => (
        <>
          <Input id={id} value={number} onChange={(e) => setNumber(e.target.value)} />
          <p role="status" className={fits ? "quiet" : "wrong"}>
            {number === "" ? "" : fits ? "It would be taken." : "It would be questioned."}
          </p>
        </>
      )}
    </Labelled>
  );
}

/** One kind of identity paper: whose citizens hold it, and what its number looks like. */
export function PaperPart({ value, disabled, onChange }: Props) {
  const [lines, setLines] = useState(value.numbers.join("\n"));
  return (
    <div className="part-form plan-form">
      <KeyBox value={value.key} disabled={disabled} onChange={(key) => onChange({ ...value, key })} />
      <Words label="Name" value={value.title} disabled={disabled} onChange={(title) => onChange({ ...value, title })} />
      <Labelled label="Held by citizens of" wide>
        {(id) => (
          <Select
            id={id}
            mode="multiple"
            disabled={disabled}
            placeholder="any country"
            value={[...value.countries]}
            showSearch={{ optionFilterProp: "label" }}
            options={[...countryOptions("en")]}
            onChange={(countries: string[]) => onChange({ ...value, countries })}
            style={{ width: "100%" }}
          />
        )}
      </Labelled>
      <Labelled label="What its number looks like, one a line">
        {(id) => (
          <Input.TextArea
            id={id}
            disabled={disabled}
            autoSize={{ minRows: 2, maxRows: 12 }}
            placeholder="any number"
            value={lines}
            onChange={(e) => {
              setLines(e.target.value);
              const numbers = e.target.value.split("\n").map((line) => line.trim());
              onChange({ ...value, numbers: numbers.filter(Boolean) });
            }}
          />
        )}
      </Labelled>
      <TryNumber numbers={value.numbers} />
      <p className="plan-wide quiet">
        0 stands for a digit, A for a letter, X for either; any other sign for itself. Spaces do not count. Which papers
        count for a programme, and for which applicant groups, stands in its rulebook.
      </p>
    </div>
  );
}
