"use client";

import { Button, InputNumber } from "antd";
import { useState } from "react";
import {
  INSTITUTION_KINDS,
  type InstitutionInput,
  institutionSchema,
  RECOGNITIONS,
} from "../../core/standards/institution";
import { countryOptions, languageOptions } from "../../text/words/code-lists";
import { PickField, PicksField, TextField } from "../catalogue/fields.client";
import { SaidLine } from "../catalogue/said";
import { useCheckedForm } from "../catalogue/use-checked-form.client";
import { Labelled } from "../rulebook/part-fields.client";

const plain = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

const EXPECTED: Readonly<Record<string, string>> = {
  name: "Write its name, at least two letters.",
  otherNames: "Each name needs at least two letters.",
  country: "Choose its country.",
  creditsPerYear: "A number above 0, for example 60, or nothing.",
};

/** One institution of the register: adds it, or changes what is known of it. */
export function InstitutionForm({
  known,
  scales,
  mayChange,
  store,
}: {
  known: InstitutionInput;
  scales: readonly { readonly value: string; readonly label: string }[];
  mayChange: boolean;
  /** Null when it was kept, else the sentence that says why not. */
  store: (input: InstitutionInput) => Promise<string | null>;
}) {
  const [draft, setDraft] = useState(known);
  const { wrong, said, busy, save } = useCheckedForm(institutionSchema, EXPECTED, store);
  const set = (change: Partial<InstitutionInput>) => setDraft((all) => ({ ...all, ...change }));
  const field = (path: string, label: string) => ({ label, wrong: wrong[path], disabled: !mayChange });
  return (
    <form
      className="plan-form"
      onSubmit={(e) => {
        e.preventDefault();
        save(draft);
      }}
    >
      <TextField {...field("name", "Name")} value={draft.name} onChange={(name) => set({ name })} />
      <div className="plan-wide">
        <PicksField
          {...field("otherNames", "Other and former names, in any script")}
          free
          options={[]}
          value={draft.otherNames}
          onChange={(otherNames) => set({ otherNames })}
        />
      </div>
      <PickField
        {...field("country", "Country")}
        value={draft.country === "" ? null : draft.country}
        options={countryOptions("en")}
        onChange={(country) => set({ country })}
      />
      <PickField
        {...field("kind", "Kind")}
        value={draft.kind}
        options={plain(INSTITUTION_KINDS)}
        onChange={(kind) => set({ kind: INSTITUTION_KINDS.find((k) => k === kind) ?? "other" })}
      />
      <PicksField
        {...field("languages", "Languages of teaching")}
        value={draft.languages}
        options={languageOptions("en")}
        onChange={(languages) => set({ languages })}
      />
      <PicksField
        {...field("scales", "Usual grade scales")}
        value={draft.scales}
        options={scales}
        onChange={(chosen) => set({ scales: chosen })}
      />
      <Labelled label="Credits of one full-time year">
        {(id) => (
          <InputNumber
            id={id}
            min={0.1}
            disabled={!mayChange}
            value={draft.creditsPerYear}
            onChange={(creditsPerYear) => set({ creditsPerYear })}
          />
        )}
      </Labelled>
      <PickField
        {...field("recognition", "Its awards are")}
        value={draft.recognition}
        options={plain(RECOGNITIONS)}
        onChange={(recognition) =>
          set({ recognition: RECOGNITIONS.find((r) => r === recognition) ?? "to be looked into" })
        }
      />
      <TextField {...field("note", "Note for colleagues")} long value={draft.note} onChange={(note) => set({ note })} />
      <div className="plan-wide">
        <PicksField
          {...field("fingerprints", "Fingerprints of the certificates that sign its files of results (SHA-256)")}
          free
          options={[]}
          value={draft.fingerprints}
          onChange={(typed) =>
            set({ fingerprints: typed.map((f) => f.toLowerCase().replace(/[^0-9a-f]/gu, "")).filter((f) => f !== "") })
          }
        />
      </div>
      {mayChange ? (
        <div className="plan-wide presses">
          <Button type="primary" htmlType="submit" loading={busy}>
            Save the institution
          </Button>
          <SaidLine said={said} />
        </div>
      ) : null}
    </form>
  );
}
