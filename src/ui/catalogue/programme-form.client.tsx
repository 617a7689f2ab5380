"use client";

import { Button, Checkbox } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { LENGTH_UNITS, LEVELS, type ProgrammeInput, programmeSchema } from "../../core/catalogue/programme";
import { MODES } from "../../core/file/mode";
import { fieldOptions, languageOptions } from "../../text/words/code-lists";
import { EMPTY_PROGRAMME } from "./drafts";
import { NumberField, PickField, PicksField, TextField } from "./fields.client";
import { SaidLine } from "./said";
import { useCheckedForm } from "./use-checked-form.client";

const plain = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

/** What the schema found, by the path of the field, with a sentence that says what is expected. */
const EXPECTED: Readonly<Record<string, string>> = {
  code: "Two to ten capital letters and digits, for example MES.",
  "title.en": "Write the title in English.",
  "title.fr": "Write the title in French.",
  award: "Write the award as it stands before the title, for example MSc.",
  "description.en": "Say in English what is studied.",
  "description.fr": "Say in French what is studied.",
  campuses: "Pick at least one campus.",
  modes: "Pick at least one.",
  months: "Between 1 and 120.",
  ects: "Between 0 and 600.",
  "contact.email": "Write a full e-mail address.",
  "contact.name": "Write whom people may ask.",
  "prerequisites.en": "Write it in both languages, or in none.",
  "prerequisites.fr": "Write it in both languages, or in none.",
};

type Store = (procedure: string, version: number | null, programme: ProgrammeInput) => Promise<string | null>;

/** Makes a programme, or changes what is known of one. */
export function ProgrammeForm({
  known,
  procedure,
  procedures,
  campuses,
  mayChange,
  store,
}: {
  known: (ProgrammeInput & { readonly version: number }) | null;
  procedure: string;
  procedures: readonly { readonly value: string; readonly label: string }[];
  campuses: readonly { readonly value: string; readonly label: string }[];
  mayChange: boolean;
  store: Store;
}) {
  const [draft, setDraft] = useState<ProgrammeInput>(known ?? EMPTY_PROGRAMME);
  const [family, setFamily] = useState(procedure);
  const router = useRouter();
  const { wrong, said, busy, save } = useCheckedForm(
    programmeSchema,
    EXPECTED,
    (programme) => store(family, known?.version ?? null, programme),
    // A new programme has a page of its own, where its start and its round come next.
    ({ code }) => known === null && router.push(`/office/programmes/${code}`),
  );
  const set = (change: Partial<ProgrammeInput>) => setDraft((all) => ({ ...all, ...change }));
  const field = (path: string, label: string) => ({ label, wrong: wrong[path], disabled: !mayChange });
  const contact = draft.contact ?? { name: "", email: "", phone: null };
  const prerequisites = draft.prerequisites ?? { en: "", fr: "" };

  const cleaned = (): ProgrammeInput => ({
    ...draft,
    contact: contact.name === "" && contact.email === "" ? null : contact,
    prerequisites: prerequisites.en === "" && prerequisites.fr === "" ? null : prerequisites,
    partner: draft.partner?.trim() ? draft.partner : null,
  });

  return (
    <form
      className="plan-form"
      onSubmit={(e) => {
        e.preventDefault();
        save(cleaned());
      }}
    >
      <TextField
        {...field("code", "Code")}
        disabled={!mayChange || known !== null}
        value={draft.code}
        onChange={(code) => set({ code: code.toUpperCase() })}
      />
      <TextField
        {...field("award", "Award, where it leads to one")}
        value={draft.award}
        onChange={(award) => set({ award })}
      />
      <TextField
        {...field("title.en", "Title, English")}
        value={draft.title.en}
        onChange={(en) => set({ title: { ...draft.title, en } })}
      />
      <TextField
        {...field("title.fr", "Title, French")}
        value={draft.title.fr}
        onChange={(fr) => set({ title: { ...draft.title, fr } })}
      />
      <PickField {...field("procedure", "Procedure")} value={family} options={procedures} onChange={setFamily} />
      <PickField
        {...field("level", "Level")}
        value={draft.level}
        options={plain(LEVELS)}
        onChange={(level) => set({ level: LEVELS.find((l) => l === level) ?? "master" })}
      />
      <PicksField
        {...field("fields", "Fields (ISCED-F)")}
        value={draft.fields}
        options={fieldOptions()}
        onChange={(fields) => set({ fields })}
      />
      <PicksField
        {...field("languages", "Languages of teaching, the preset one first")}
        value={draft.languages}
        options={languageOptions("en")}
        onChange={(languages) => set({ languages })}
      />
      <NumberField {...field("length", "Length")} value={draft.length} onChange={(length) => set({ length })} />
      <PickField
        {...field("lengthUnit", "counted in")}
        value={draft.lengthUnit}
        options={plain(LENGTH_UNITS)}
        onChange={(unit) => set({ lengthUnit: LENGTH_UNITS.find((u) => u === unit) ?? "months" })}
      />
      <NumberField {...field("ects", "ECTS")} value={draft.ects} onChange={(ects) => set({ ects })} />
      <PicksField
        {...field("campuses", "Campuses, the preset one first")}
        value={draft.campuses}
        options={campuses}
        onChange={(next) => set({ campuses: next })}
      />
      <PicksField
        {...field("modes", "Modes")}
        value={draft.modes}
        options={plain(MODES)}
        onChange={(modes) => set({ modes: MODES.filter((m) => modes.includes(m)) })}
      />
      <PicksField
        {...field("keywords", "Other words by which people look for it")}
        free
        value={draft.keywords}
        options={[]}
        onChange={(keywords) => set({ keywords })}
      />
      <TextField
        {...field("partner", "Partner that runs it, if not we")}
        value={draft.partner ?? ""}
        onChange={(partner) => set({ partner })}
      />
      <TextField
        {...field("contact.name", "Whom to ask")}
        value={contact.name}
        onChange={(name) => set({ contact: { ...contact, name } })}
      />
      <TextField
        {...field("contact.email", "Their e-mail")}
        value={contact.email}
        onChange={(email) => set({ contact: { ...contact, email } })}
      />
      <TextField
        {...field("description.en", "Description, English")}
        long
        value={draft.description.en}
        onChange={(en) => set({ description: { ...draft.description, en } })}
      />
      <TextField
        {...field("description.fr", "Description, French")}
        long
        value={draft.description.fr}
        onChange={(fr) => set({ description: { ...draft.description, fr } })}
      />
      <TextField
        {...field("prerequisites.en", "What people must bring, English")}
        long
        value={prerequisites.en}
        onChange={(en) => set({ prerequisites: { ...prerequisites, en } })}
      />
      <TextField
        {...field("prerequisites.fr", "What people must bring, French")}
        long
        value={prerequisites.fr}
        onChange={(fr) => set({ prerequisites: { ...prerequisites, fr } })}
      />
      <div className="plan-wide">
        <Checkbox
          disabled={!mayChange}
          checked={draft.sponsorsVisa}
          onChange={(e) => set({ sponsorsVisa: e.target.checked })}
        >
          We can sponsor a visa for it
        </Checkbox>
      </div>
      <div className="plan-wide">
        <Checkbox disabled={!mayChange} checked={draft.onePage} onChange={(e) => set({ onePage: e.target.checked })}>
          Its form stands on one page; otherwise applicants are led through it section by section
        </Checkbox>
      </div>
      <div className="plan-wide">
        <Checkbox
          disabled={!mayChange}
          checked={draft.showsTimes}
          onChange={(e) => set({ showsTimes: e.target.checked })}
        >
          Visitors read how long its decisions took, once five are released
        </Checkbox>
      </div>
      <Tracks draft={draft} disabled={!mayChange} set={set} />
      {mayChange ? (
        <div className="plan-wide presses">
          <Button type="primary" htmlType="submit" loading={busy}>
            Save the programme
          </Button>
          <SaidLine said={said} />
        </div>
      ) : null}
    </form>
  );
}

function Tracks({
  draft,
  disabled,
  set,
}: {
  draft: ProgrammeInput;
  disabled: boolean;
  set: (change: Partial<ProgrammeInput>) => void;
}) {
  const change = (index: number, part: Partial<ProgrammeInput["tracks"][number]>) =>
    set({ tracks: draft.tracks.map((t, i) => (i === index ? { ...t, ...part } : t)) });
  return (
    <fieldset className="plan-wide">
      <legend>Tracks</legend>
      {draft.tracks.map((track, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a track is known by its place until it is saved
        <div key={i} className="plan-line">
          <TextField label="Key" disabled={disabled} value={track.key} onChange={(key) => change(i, { key })} />
          <TextField
            label="English"
            disabled={disabled}
            value={track.title.en}
            onChange={(en) => change(i, { title: { ...track.title, en } })}
          />
          <TextField
            label="French"
            disabled={disabled}
            value={track.title.fr}
            onChange={(fr) => change(i, { title: { ...track.title, fr } })}
          />
          {disabled ? null : (
            <Button
              aria-label={`Remove the track ${track.title.en}`}
              onClick={() => set({ tracks: draft.tracks.filter((_, j) => j !== i) })}
            >
              Remove
            </Button>
          )}
        </div>
      ))}
      {disabled ? null : (
        <Button
          size="small"
          onClick={() =>
            set({ tracks: [...draft.tracks, { key: `track-${draft.tracks.length + 1}`, title: { en: "", fr: "" } }] })
          }
        >
          Add a track
        </Button>
      )}
      {draft.tracks.length > 1 ? (
        <div>
          <Checkbox
            disabled={disabled}
            checked={draft.tracksRanked}
            onChange={(e) => set({ tracksRanked: e.target.checked })}
          >
            Applicants name the tracks that they would take, in the order in which they prefer them
          </Checkbox>
        </div>
      ) : null}
    </fieldset>
  );
}
