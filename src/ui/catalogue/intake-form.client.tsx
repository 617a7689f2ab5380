"use client";

import { Button } from "antd";
import { useState } from "react";
import { type IntakeInput, intakeSchema, type OfferedByProgramme } from "../../core/catalogue/programme";
import { MODES } from "../../core/file/mode";
import { languageName } from "../../text/format";
import { useAsking } from "../frame/unanswered.client";
import { MomentField, NumberField, PickField, PicksField, TextField } from "./fields.client";
import { type Said, SaidLine } from "./said";

type Store = (
  cycle: string,
  known: { readonly id: string; readonly version: number } | null,
  intake: IntakeInput,
) => Promise<string | null>;

const ANY = "";

/** One start of a programme: its day, its places, and what it offers of the programme's options. */
export function IntakeForm({
  known,
  cycle,
  programme,
  campuses,
  mayChange,
  store,
}: {
  known: (IntakeInput & { readonly id: string; readonly version: number }) | null;
  cycle: string;
  programme: OfferedByProgramme;
  campuses: readonly { readonly value: string; readonly label: string }[];
  mayChange: boolean;
  store: Store;
}) {
  const [draft, setDraft] = useState<IntakeInput>(
    known ?? { startsOn: "", places: 20, quotas: [], options: { campuses: [], languages: [], modes: [], tracks: [] } },
  );
  const [year, setYear] = useState(cycle);
  const [said, setSaid] = useState<Said>(null);
  const [busy, begin] = useAsking();
  const set = (change: Partial<IntakeInput>) => setDraft((all) => ({ ...all, ...change }));
  const own = campuses.filter((c) => programme.campuses.includes(c.value));
  const disabled = !mayChange;

  const save = () => {
    const parsed = intakeSchema.safeParse(draft);
    if (!parsed.success || !/^\d{4}[a-z]?$/u.test(year)) {
      setSaid({
        text: "Give the day on which studies begin, the places, and the year of the cycle, for example 2028.",
        bad: true,
      });
      return;
    }
    begin(async () => {
      const refused = await store(year, known && { id: known.id, version: known.version }, parsed.data);
      setSaid(refused ? { text: refused, bad: true } : { text: "Saved.", bad: false });
    });
  };

  return (
    <form
      className="plan-form"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <TextField label="Cycle" disabled={disabled || known !== null} value={year} onChange={setYear} />
      <MomentField
        label="Studies begin on"
        time={false}
        disabled={disabled}
        value={draft.startsOn}
        onChange={(startsOn) => set({ startsOn })}
      />
      <NumberField
        label="Places in all"
        disabled={disabled}
        value={draft.places}
        onChange={(places) => set({ places })}
      />
      {programme.campuses.length > 1 ? (
        <PicksField
          label="Campuses of this start (none: all)"
          disabled={disabled}
          value={draft.options.campuses}
          options={own}
          onChange={(next) => set({ options: { ...draft.options, campuses: next } })}
        />
      ) : null}
      {programme.languages.length > 1 ? (
        <PicksField
          label="Languages of this start (none: all)"
          disabled={disabled}
          value={draft.options.languages}
          options={programme.languages.map((l) => ({ value: l, label: languageName("en", l) }))}
          onChange={(languages) => set({ options: { ...draft.options, languages } })}
        />
      ) : null}
      {programme.tracks.length > 1 ? (
        <PicksField
          label="Tracks of this start (none: all)"
          disabled={disabled}
          value={draft.options.tracks}
          options={programme.tracks.map((t) => ({ value: t.key, label: t.title.en }))}
          onChange={(tracks) => set({ options: { ...draft.options, tracks } })}
        />
      ) : null}
      <fieldset className="plan-wide">
        <legend>Places for one campus or mode</legend>
        {draft.quotas.map((quota, i) => {
          const change = (part: Partial<typeof quota>) =>
            set({ quotas: draft.quotas.map((q, j) => (i === j ? { ...q, ...part } : q)) });
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a quota has no other name than its place
            <div key={i} className="plan-line">
              <PickField
                label="Campus"
                disabled={disabled}
                value={quota.campus ?? ANY}
                options={[{ value: ANY, label: "any" }, ...own]}
                onChange={(campus) => change({ campus: campus === ANY ? null : campus })}
              />
              <PickField
                label="Mode"
                disabled={disabled}
                value={quota.mode ?? ANY}
                options={[{ value: ANY, label: "any" }, ...MODES.map((m) => ({ value: m, label: m }))]}
                onChange={(mode) => change({ mode: MODES.find((m) => m === mode) ?? null })}
              />
              <NumberField
                label="Places"
                disabled={disabled}
                value={quota.places}
                onChange={(places) => change({ places })}
              />
              {disabled ? null : (
                <Button onClick={() => set({ quotas: draft.quotas.filter((_, j) => j !== i) })}>Remove</Button>
              )}
            </div>
          );
        })}
        {disabled ? null : (
          <Button
            size="small"
            onClick={() => set({ quotas: [...draft.quotas, { title: "", campus: null, mode: null, places: 0 }] })}
          >
            Add a quota
          </Button>
        )}
      </fieldset>
      {disabled ? null : (
        <div className="plan-wide presses">
          <Button type={known ? "default" : "primary"} htmlType="submit" loading={busy}>
            {known ? "Save the start" : "Add the start"}
          </Button>
          <SaidLine said={said} />
        </div>
      )}
    </form>
  );
}
