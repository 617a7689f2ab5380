"use client";

import { AutoComplete, Button, Input, Select } from "antd";
import { useState } from "react";
import { fold } from "../../core/people/fold";
import type { Entitlement, EntitlementList } from "../../core/rulebook/ruled-case";
import { type EntitlementLines, readEntitlements, writeEntitlements } from "../../core/rulings/entitlement-table";
import { countryName } from "../../text/format";
import { countryOptions } from "../../text/words/code-lists";
import { useRegister } from "../form/fields/use-register.client";
import { KeyBox, put, Words } from "../rulebook/part-fields.client";

interface Props {
  readonly value: EntitlementList;
  readonly disabled: boolean;
  readonly onChange: (next: EntitlementList) => void;
}

const MOST_SHOWN = 60;
const NARROWED = ["institution", "title", "level"] as const;
const HEADS = { institution: "Institution", title: "Words of the title", level: "Level" } as const;
const WRONG = {
  country: "the country has to be a code of two letters, for example PT",
  columns: "the first line has to name the columns: country, institution, title, level",
  "too-long": "a text is too long",
} as const;

function Wrong({ wrong }: { wrong: EntitlementLines["wrong"] }) {
  if (wrong.length === 0) return null;
  return (
    <ul className="plain-list wrong" role="alert">
      {wrong.slice(0, 8).map(({ line, what }) => (
        <li key={line}>
          Line {line}: {WRONG[what]}.
        </li>
      ))}
      {wrong.length > 8 ? <li>and {wrong.length - 8} more lines</li> : null}
    </ul>
  );
}

/** Reads the list from a CSV file, and gives it out as one. */
function AsTable({ value, disabled, onChange }: Props) {
  const [read, setRead] = useState<EntitlementLines | null>(null);
  return (
    <div className="plan-wide">
      <p className="standards-table">
        {disabled ? null : (
          <label className="file-choice">
            Take the list from a CSV file{" "}
            <input
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              onChange={async (e) => {
                const [file] = e.target.files ?? [];
                e.target.value = "";
                if (!file) return;
                const lines = readEntitlements(await file.text());
                setRead(lines);
                if (lines.entries.length > 0) onChange({ ...value, entries: [...lines.entries] });
              }}
            />
          </label>
        )}
        <a
          download={`${value.key}.csv`}
          href={`data:text/csv;charset=utf-8,${encodeURIComponent(writeEntitlements(value.entries))}`}
        >
          Save it as CSV
        </a>
      </p>
      {read ? (
        <p role="status" className="quiet">
          {read.entries.length} {read.entries.length === 1 ? "entry" : "entries"} taken from the file.
        </p>
      ) : null}
      {read ? <Wrong wrong={read.wrong} /> : null}
    </div>
  );
}

/** The name of an institution, offered as the register has it: that is how applicants pick it. */
function RegisterName({
  label,
  country,
  value,
  onChange,
}: {
  label: string;
  country: string;
  value: string;
  onChange: (name: string) => void;
}) {
  const { found, look, forget } = useRegister(country);
  return (
    <AutoComplete
      size="small"
      aria-label={label}
      placeholder="any"
      value={value}
      style={{ width: "100%" }}
      options={found.suggestions.filter((s) => s.country === country).map((s) => ({ value: s.name }))}
      onSearch={look}
      onChange={onChange}
      onBlur={forget}
    />
  );
}

function EntryLine({
  entry,
  no,
  disabled,
  onChange,
  onRemove,
}: {
  entry: Entitlement;
  no: number;
  disabled: boolean;
  onChange: (next: Entitlement) => void;
  onRemove: () => void;
}) {
  if (disabled)
    return (
      <tr>
        <td>{countryName("en", entry.country)}</td>
        {NARROWED.map((part) => (
          <td key={part}>{entry[part] ?? <span className="quiet">any</span>}</td>
        ))}
        <td />
      </tr>
    );
  return (
    <tr>
      <td>
        <Select
          size="small"
          aria-label={`Country of entry ${no}`}
          value={entry.country}
          showSearch={{ optionFilterProp: "label" }}
          options={[...countryOptions("en")]}
          onChange={(country: string) => onChange({ ...entry, country })}
          style={{ width: "100%" }}
        />
      </td>
      <td>
        <RegisterName
          label={`${HEADS.institution} of entry ${no}`}
          country={entry.country}
          value={entry.institution ?? ""}
          onChange={(name) => onChange(put(entry, "institution", name === "" ? undefined : name))}
        />
      </td>
      {(["title", "level"] as const).map((part) => (
        <td key={part}>
          <Input
            size="small"
            aria-label={`${HEADS[part]} of entry ${no}`}
            placeholder="any"
            value={entry[part] ?? ""}
            onChange={(e) => onChange(put(entry, part, e.target.value === "" ? undefined : e.target.value))}
          />
        </td>
      ))}
      <td>
        <Button size="small" type="text" aria-label={`Take entry ${no} out`} onClick={onRemove}>
          ×
        </Button>
      </td>
    </tr>
  );
}

/** A list of degrees, certificates or grounds that are accepted without further reading. */
export function EntitlementPart({ value, disabled, onChange }: Props) {
  const [words, setWords] = useState("");
  const folded = fold(words);
  const numbered = value.entries.map((entry, index) => ({ entry, index }));
  const found = numbered.filter(
    ({ entry }) =>
      folded === "" || fold([countryName("en", entry.country), ...Object.values(entry)].join(" ")).includes(folded),
  );
  const replace = (index: number, next: Entitlement | null) =>
    onChange({
      ...value,
      entries: value.entries.flatMap((old, i) => (i !== index ? [old] : next === null ? [] : [next])),
    });
  return (
    <div className="part-form plan-form">
      <KeyBox value={value.key} disabled={disabled} onChange={(key) => onChange({ ...value, key })} />
      <Words
        label="Title"
        value={value.title}
        disabled={disabled}
        onChange={(title) => onChange({ ...value, title })}
      />
      <p className="plan-wide quiet">
        A rulebook that asks for a ruling may name this list. What fits an entry is accepted at once; all else waits for
        an officer. An empty cell fits anything; every word of the title has to occur.
      </p>
      <AsTable value={value} disabled={disabled} onChange={onChange} />
      <div className="plan-wide">
        <p>
          <Input
            size="small"
            allowClear
            aria-label="Find in the list"
            placeholder={`Find among ${value.entries.length}`}
            value={words}
            onChange={(e) => setWords(e.target.value)}
            style={{ width: 260 }}
          />
        </p>
        <table className="plain-table entitlements">
          <thead>
            <tr>
              <th scope="col">Country</th>
              {NARROWED.map((part) => (
                <th key={part} scope="col">
                  {HEADS[part]}
                </th>
              ))}
              <td />
            </tr>
          </thead>
          <tbody>
            {found.slice(0, MOST_SHOWN).map(({ entry, index }) => (
              <EntryLine
                key={index}
                entry={entry}
                no={index + 1}
                disabled={disabled}
                onChange={(next) => replace(index, next)}
                onRemove={() => replace(index, null)}
              />
            ))}
          </tbody>
        </table>
        {found.length > MOST_SHOWN ? (
          <p className="quiet">{found.length - MOST_SHOWN} more. Type a word to find them.</p>
        ) : null}
        {value.entries.length === 0 ? (
          <p className="quiet">Nothing stands in the list yet: everything waits for a ruling.</p>
        ) : null}
        {disabled ? null : (
          <Button size="small" onClick={() => onChange({ ...value, entries: [...value.entries, { country: "IE" }] })}>
            Add an entry
          </Button>
        )}
      </div>
    </div>
  );
}
