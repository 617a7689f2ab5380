"use client";

import Link from "next/link";
import { useEffect, useRef, useState, useTransition } from "react";
import type { Locale } from "../../../core/text/local-text";
import { sentence } from "../../../text/sentence";
import { localTitles } from "../../../text/words/trace";
import type { SelfCheckData } from "../../../views/form/self-check";
import { TraceTree } from "../../assessment/trace-tree";
import { type TrialAnswer, TrialSections, useTrialForm } from "../../form/trial-form.client";
import { askToCarry, keepAnswers, keptAnswers } from "./kept-answers";

type Answer = (input: { code: string; track: string | null; answers: TrialAnswer[] }) => Promise<SelfCheckData | null>;

const PAUSE_MS = 300;

function Findings({
  data,
  locale,
  apply,
  onApply,
}: {
  data: SelfCheckData;
  locale: Locale;
  apply: string | null;
  onApply: () => void;
}) {
  const ways = data.findings.flatMap((f) => (f.way ? [f.way[locale]] : []));
  return (
    <section className="check-answer" aria-live="polite" data-eligibility={data.eligibility}>
      <h2>{sentence(locale, "check.answer")}</h2>
      <p className="serif next-sentence">{sentence(locale, `check.${data.eligibility}`, { ways: ways.join(", ") })}</p>
      <ul className="check-findings">
        {data.findings.map((finding) => (
          <li key={finding.key} data-finding={finding.finding}>
            <details>
              <summary>
                <strong>{sentence(locale, `check.finding.${finding.finding}`)}</strong> · {finding.title[locale]}
              </summary>
              <ul className="trace">
                <TraceTree
                  trace={finding.trace}
                  titles={localTitles(data.factTitles, locale)}
                  locale={locale}
                  marksClaims={false}
                />
              </ul>
            </details>
          </li>
        ))}
      </ul>
      <p className="quiet">{sentence(locale, "check.claims")}</p>
      {apply ? (
        <Link className="press" href={apply} prefetch={false} onClick={onApply}>
          {sentence(locale, "check.carry")}
        </Link>
      ) : null}
    </section>
  );
}

/** The questions of a self-check, and the answer that follows them. Everything stays in this browser. */
export function SelfCheck({
  first,
  locale,
  apply,
  answer,
}: {
  first: SelfCheckData;
  locale: Locale;
  apply: string | null;
  answer: Answer;
}) {
  const [data, setData] = useState(first);
  const [track, setTrack] = useState(first.tracks[0]?.key ?? null);
  const [, begin] = useTransition();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const asked = useRef(0);
  const entered = useRef<readonly TrialAnswer[]>([]);
  const { code } = first;

  const ask = (answers: readonly TrialAnswer[], chosen = track) => {
    entered.current = answers;
    keepAnswers(code, answers);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      asked.current += 1;
      const turn = asked.current;
      begin(async () => {
        const fresh = await answer({ code, track: chosen, answers: [...answers] });
        if (fresh && turn === asked.current) setData(fresh);
      });
    }, PAUSE_MS);
  };
  const form = useTrialForm(data.sections, ask);

  // What was entered on an earlier visit goes back into its fields.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the page opens
  useEffect(() => {
    const kept = keptAnswers(code);
    if (kept.length > 0) form.fill(kept);
    return () => clearTimeout(timer.current);
  }, [code]);

  return (
    <>
      {first.tracks.length > 1 ? (
        <fieldset className="options">
          <legend>{sentence(locale, "apply.track")}</legend>
          {first.tracks.map((t) => (
            <label key={t.key} className="tick">
              <input
                type="radio"
                name="track"
                checked={track === t.key}
                onChange={() => {
                  setTrack(t.key);
                  ask(entered.current, t.key);
                }}
              />{" "}
              {t.title[locale]}
            </label>
          ))}
        </fieldset>
      ) : null}
      <TrialSections form={form} locale={locale} office={data.office} />
      <Findings data={data} locale={locale} apply={apply} onApply={() => askToCarry(code)} />
      <p>
        <button
          type="button"
          className="link-button"
          onClick={() => {
            askToCarry(null);
            form.fill([]);
          }}
        >
          {sentence(locale, "check.clear")}
        </button>
      </p>
    </>
  );
}
