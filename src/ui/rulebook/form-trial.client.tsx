"use client";

import { useRef, useState } from "react";
import type { Mode } from "../../core/file/mode";
import type { Locale } from "../../core/text/local-text";
import { formatMoney, languageName } from "../../text/format";
import { feeTitle } from "../../text/words/fee";
import type { FormPreview } from "../../views/form/form-preview";
import { PickField } from "../catalogue/fields.client";
import { type TrialAnswer, TrialSections, useTrialForm } from "../form/trial-form.client";
import { useAsking } from "../frame/unanswered.client";

const FOUND = "found";
const LANGUAGES = [
  { value: "en", label: "English" },
  { value: "fr", label: "French" },
] as const;

interface Options {
  readonly group: string | null;
  readonly campus: string | null;
  readonly language: string | null;
  readonly mode: Mode | null;
  readonly track: string | null;
}

type Answer = (input: Options & { rulebookId: string; answers: TrialAnswer[] }) => Promise<FormPreview | null>;

/** What is asked of this applicant, in the order of the rulebook, with what has been filled in so far. */
function Asked({ data, locale }: { data: FormPreview; locale: Locale }) {
  return (
    <aside className="trial-asked" aria-live="polite" aria-label="What is asked of this applicant">
      <h2>
        {data.requirements.length} {data.requirements.length === 1 ? "thing is" : "things are"} asked for
      </h2>
      <ul className="plain-list">
        {data.requirements.map((r) => (
          <li key={`${r.key}-${r.entry}`}>
            {r.title[locale]}{" "}
            <span className="quiet">
              by {r.neededBy}
              {r.proof !== null && r.proof !== "copy" ? `, ${r.proof}` : ""}
              {r.kind === "sections" && r.standing === "accepted" ? " · complete" : ""}
            </span>
          </li>
        ))}
      </ul>
      <h2>Fees</h2>
      {data.fees.length === 0 ? <p className="quiet">None.</p> : null}
      <ul className="plain-list">
        {data.fees.map((f) => (
          <li key={`${f.item}-${f.scope}`}>
            {feeTitle(f, locale)} <strong>{formatMoney(locale, f.amount)}</strong>
          </li>
        ))}
      </ul>
    </aside>
  );
}

/** Tries a rulebook's form out. Everything stays in this page. */
export function FormTrial({ rulebookId, first, answer }: { rulebookId: string; first: FormPreview; answer: Answer }) {
  const [data, setData] = useState(first);
  const [locale, setLocale] = useState<Locale>("en");
  const [options, setOptions] = useState<Options>({
    group: null,
    campus: null,
    language: null,
    mode: null,
    track: null,
  });
  const [busy, begin] = useAsking();
  const entered = useRef<readonly TrialAnswer[]>([]);
  const asked = useRef(0);

  const ask = (answers: readonly TrialAnswer[], chosen = options) => {
    entered.current = answers;
    asked.current += 1;
    const turn = asked.current;
    begin(async () => {
      const fresh = await answer({ rulebookId, ...chosen, answers: [...answers] });
      if (fresh && turn === asked.current) setData(fresh);
    });
  };
  const form = useTrialForm(data.sections, ask);
  const choose = (change: Partial<Options>) => {
    const next = { ...options, ...change };
    setOptions(next);
    ask(entered.current, next);
  };
  const groupTitle = data.groups.find((g) => g.key === data.group)?.title.en;

  return (
    <>
      <div className="trial-options">
        <PickField
          label="Applicant group"
          value={options.group ?? FOUND}
          options={[
            {
              value: FOUND,
              label: options.group === null && groupTitle ? `found: ${groupTitle}` : "found from the answers",
            },
            ...data.groups.map((g) => ({ value: g.key, label: g.title.en })),
          ]}
          onChange={(value) => choose({ group: value === FOUND ? null : value })}
        />
        {data.tracks.length > 1 ? (
          <PickField
            label="Track"
            value={options.track ?? data.tracks[0]?.key ?? null}
            options={data.tracks.map((t) => ({ value: t.key, label: t.title.en }))}
            onChange={(track) => choose({ track })}
          />
        ) : null}
        {data.campuses.length > 1 ? (
          <PickField
            label="Campus"
            value={options.campus ?? data.campuses[0]?.key ?? null}
            options={data.campuses.map((c) => ({ value: c.key, label: c.title.en }))}
            onChange={(campus) => choose({ campus })}
          />
        ) : null}
        {data.languages.length > 1 ? (
          <PickField
            label="Language of teaching"
            value={options.language ?? data.languages[0] ?? null}
            options={data.languages.map((l) => ({ value: l, label: languageName("en", l) }))}
            onChange={(language) => choose({ language })}
          />
        ) : null}
        {data.modes.length > 1 ? (
          <PickField
            label="Mode"
            value={options.mode ?? data.modes[0] ?? null}
            options={data.modes.map((m) => ({ value: m, label: m }))}
            onChange={(mode) => choose({ mode: data.modes.find((m) => m === mode) ?? null })}
          />
        ) : null}
        <PickField
          label="Language of the page"
          value={locale}
          options={LANGUAGES}
          onChange={(value) => setLocale(value === "fr" ? "fr" : "en")}
        />
      </div>
      <div className="trial" aria-busy={busy}>
        <div className="trial-form" lang={locale}>
          <TrialSections form={form} locale={locale} office={data.office} intro />
        </div>
        <Asked data={data} locale={locale} />
      </div>
    </>
  );
}
