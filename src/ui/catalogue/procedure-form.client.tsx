"use client";

import { Button, Checkbox } from "antd";
import { useState } from "react";
import { type ChoiceRules, choiceRulesSchema } from "../../core/catalogue/choice-rules";
import { LEVELS } from "../../core/catalogue/programme";
import type { LocalText } from "../../core/text/local-text";
import { choiceRuleLines } from "../../text/words/choice-rules";
import { fieldOptions } from "../../text/words/code-lists";
import { useAsking } from "../frame/unanswered.client";
import { NumberField, PickField, TextField } from "./fields.client";
import { type Said, SaidLine } from "./said";

export interface ProcedureDraft {
  readonly key: string;
  readonly title: LocalText;
  readonly rules: ChoiceRules;
}

const FRESH: ProcedureDraft = {
  key: "",
  title: { en: "", fr: "" },
  rules: { least: 1, most: 1, limits: [], exclusive: [], ranked: false },
};

type Limit = ChoiceRules["limits"][number];

const LIMITED = [
  ...LEVELS.map((level) => ({ value: `level ${level}`, label: `level: ${level}` })),
  ...fieldOptions().map((f) => ({ value: `field ${f.value}`, label: `field: ${f.label}` })),
];

function limitOf(picked: string, most: number): Limit {
  const value = picked.slice(picked.indexOf(" ") + 1);
  const level = LEVELS.find((l) => picked === `level ${l}`);
  return level ? { by: "level", value: level, most } : { by: "field", value, most };
}

/** A family of programmes that share one application, with its rules about choices. What they say is shown as applicants read it. */
export function ProcedureForm({
  known,
  codes,
  mayChange,
  store,
}: {
  known: ProcedureDraft | null;
  /** The codes of its programmes, for pairs that exclude each other. */
  codes: readonly string[];
  mayChange: boolean;
  store: (draft: ProcedureDraft) => Promise<string | null>;
}) {
  const [draft, setDraft] = useState<ProcedureDraft>(known ?? FRESH);
  const [said, setSaid] = useState<Said>(null);
  const [busy, begin] = useAsking();
  const { rules } = draft;
  const setRules = (change: Partial<ChoiceRules>) => setDraft({ ...draft, rules: { ...rules, ...change } });
  const promise = (undertaking: LocalText) => {
    const { undertaking: _old, ...others } = rules;
    const none = undertaking.en === "" && undertaking.fr === "";
    setDraft({ ...draft, rules: none ? others : { ...others, undertaking } });
  };
  const disabled = !mayChange;
  const options = codes.map((c) => ({ value: c, label: c }));

  const wrong = (): string | null => {
    if (!/^[a-z0-9][a-z0-9-]{0,39}$/u.test(draft.key))
      return "Give a short name in small letters, for example “taught”.";
    if (draft.title.en.trim() === "" || draft.title.fr.trim() === "")
      return "Write the title in English and in French.";
    if (rules.least > rules.most) return "The least number of choices is larger than the most.";
    if (rules.undertaking && (rules.undertaking.en.trim() === "" || rules.undertaking.fr.trim() === ""))
      return "Write what is promised in English and in French, or leave both empty.";
    if (rules.exclusive.some(([a, b]) => a === b)) return "A programme cannot exclude itself.";
    return choiceRulesSchema.safeParse(rules).success ? null : "Look at the numbers: 1 to 20 choices.";
  };
  const save = () => {
    const sentence = wrong();
    if (sentence) return setSaid({ text: sentence, bad: true });
    begin(async () => {
      const refused = await store(draft);
      setSaid(refused ? { text: refused, bad: true } : { text: "Saved.", bad: false });
      if (!refused && !known) setDraft(FRESH);
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
      <TextField
        label="Short name"
        disabled={disabled || known !== null}
        value={draft.key}
        onChange={(key) => setDraft({ ...draft, key })}
      />
      <TextField
        label="Title, English"
        disabled={disabled}
        value={draft.title.en}
        onChange={(en) => setDraft({ ...draft, title: { ...draft.title, en } })}
      />
      <TextField
        label="Title, French"
        disabled={disabled}
        value={draft.title.fr}
        onChange={(fr) => setDraft({ ...draft, title: { ...draft.title, fr } })}
      />
      <NumberField
        label="Choices at least"
        disabled={disabled}
        value={rules.least}
        onChange={(least) => setRules({ least })}
      />
      <NumberField
        label="Choices at most"
        disabled={disabled}
        value={rules.most}
        onChange={(most) => setRules({ most })}
      />
      <div className="plan-wide">
        <Checkbox disabled={disabled} checked={rules.ranked} onChange={(e) => setRules({ ranked: e.target.checked })}>
          the order of the choices says which is preferred
        </Checkbox>
      </div>
      <fieldset className="plan-wide">
        <legend>At most so many of one level or field</legend>
        {rules.limits.map((limit, i) => {
          const change = (next: Limit) => setRules({ limits: rules.limits.map((l, j) => (i === j ? next : l)) });
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a limit has no other name than its place
            <div key={i} className="plan-line">
              <PickField
                label="Of"
                disabled={disabled}
                value={`${limit.by} ${limit.value}`}
                options={LIMITED}
                onChange={(picked) => change(limitOf(picked, limit.most))}
              />
              <NumberField
                label="At most"
                disabled={disabled}
                value={limit.most}
                onChange={(most) => change({ ...limit, most })}
              />
              {disabled ? null : (
                <Button onClick={() => setRules({ limits: rules.limits.filter((_, j) => j !== i) })}>Remove</Button>
              )}
            </div>
          );
        })}
        {disabled ? null : (
          <Button
            size="small"
            onClick={() => setRules({ limits: [...rules.limits, { by: "level", value: "master", most: 1 }] })}
          >
            Add a limit
          </Button>
        )}
      </fieldset>
      {codes.length < 2 && rules.exclusive.length === 0 ? null : (
        <fieldset className="plan-wide">
          <legend>Programmes that exclude each other</legend>
          {rules.exclusive.map(([one, other], i) => {
            const change = (next: [string, string]) =>
              setRules({ exclusive: rules.exclusive.map((pair, j) => (i === j ? next : pair)) });
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a pair has no other name than its place
              <div key={i} className="plan-line">
                <PickField
                  label="Programme"
                  disabled={disabled}
                  value={one}
                  options={options}
                  onChange={(a) => change([a, other])}
                />
                <PickField
                  label="excludes"
                  disabled={disabled}
                  value={other}
                  options={options}
                  onChange={(b) => change([one, b])}
                />
                {disabled ? null : (
                  <Button onClick={() => setRules({ exclusive: rules.exclusive.filter((_, j) => j !== i) })}>
                    Remove
                  </Button>
                )}
              </div>
            );
          })}
          {disabled || codes.length < 2 ? null : (
            <Button
              size="small"
              onClick={() => setRules({ exclusive: [...rules.exclusive, [codes[0] ?? "", codes[1] ?? ""]] })}
            >
              Add a pair
            </Button>
          )}
        </fieldset>
      )}
      {rules.ranked ? (
        <fieldset className="plan-wide">
          <legend>What applicants promise of the order, before they submit one of several choices</legend>
          {(["en", "fr"] as const).map((locale) => (
            <TextField
              key={locale}
              label={`The promise, ${locale === "en" ? "English" : "French"} (empty where nothing is promised)`}
              disabled={disabled}
              value={rules.undertaking?.[locale] ?? ""}
              onChange={(words) => promise({ ...(rules.undertaking ?? { en: "", fr: "" }), [locale]: words })}
            />
          ))}
        </fieldset>
      ) : null}
      {draft.title.en.trim() === "" ? null : (
        <p className="plan-wide quiet">Applicants read: {choiceRuleLines("en", draft).join(" ")}</p>
      )}
      {disabled ? null : (
        <div className="plan-wide presses">
          <Button type={known ? "default" : "primary"} htmlType="submit" loading={busy}>
            {known ? "Save the procedure" : "Add the procedure"}
          </Button>
          <SaidLine said={said} />
        </div>
      )}
    </form>
  );
}
