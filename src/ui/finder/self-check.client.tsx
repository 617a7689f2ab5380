"use client";

import { Button } from "antd";
import Link from "next/link";
import { useEffect, useRef, useState, useTransition } from "react";
import type { Json } from "../../core/assessment/facts";
import type { Locale, LocalText } from "../../core/text/local-text";
import { say } from "../../text/say";
import type { FormSection } from "../../views/form-sections";
import type { SelfCheckData } from "../../views/self-check";
import { placeKey } from "../autosave.client";
import { EntryFields, EntryGrid, firstEntry, fitsGrid } from "../section-fields.client";
import { TraceTree } from "../trace-tree";
import { askToCarry, type KeptAnswer, keepAnswers, keptAnswers } from "./kept-answers";

type Values = Readonly<Record<string, Json>>;
type Answer = (input: { code: string; track: string | null; answers: KeptAnswer[] }) => Promise<SelfCheckData | null>;

const PAUSE_MS = 300;

function toAnswers(values: Values): KeptAnswer[] {
  return Object.entries(values).flatMap(([key, value]) => {
    const [, section = "", entry = "", field = ""] = key.split("|");
    return value === null || value === "" ? [] : [{ section, entry, field, value }];
  });
}

const localTitles = (titles: Readonly<Record<string, LocalText>>, locale: Locale) =>
  Object.fromEntries(Object.entries(titles).map(([name, title]) => [name, title[locale]]));

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
      <h2>{say(locale, "check.answer")}</h2>
      <p className="serif next-sentence">{say(locale, `check.${data.eligibility}`, { ways: ways.join(", ") })}</p>
      <ul className="check-findings">
        {data.findings.map((finding) => (
          <li key={finding.key} data-finding={finding.finding}>
            <details>
              <summary>
                <strong>{say(locale, `check.finding.${finding.finding}`)}</strong> · {finding.title[locale]}
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
      <p className="quiet">{say(locale, "check.claims")}</p>
      {apply ? (
        <Link className="press" href={apply} prefetch={false} onClick={onApply}>
          {say(locale, "check.carry")}
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
  const [values, setValues] = useState<Values>({});
  const [left, setLeft] = useState<Values>({});
  const [track, setTrack] = useState(first.tracks[0]?.key ?? null);
  const [added, setAdded] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [, begin] = useTransition();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const asked = useRef(0);
  const { code } = first;

  const ask = (next: Values, chosen = track) => {
    keepAnswers(code, toAnswers(next));
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      asked.current += 1;
      const turn = asked.current;
      begin(async () => {
        const fresh = await answer({ code, track: chosen, answers: toAnswers(next) });
        if (fresh && turn === asked.current) setData(fresh);
      });
    }, PAUSE_MS);
  };

  // What was entered on an earlier visit goes back into its fields.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the page opens
  useEffect(() => {
    const kept = keptAnswers(code);
    if (kept.length > 0) {
      const stored = Object.fromEntries(
        kept.map(({ value, ...place }) => [placeKey({ scope: "file", ...place }), value]),
      );
      setValues(stored);
      ask(stored);
    }
    return () => clearTimeout(timer.current);
  }, [code]);

  const entriesOf = (section: FormSection): readonly string[] => {
    if (!section.repeats) return [""];
    const typed = Object.keys(values)
      .filter((key) => key.startsWith(`file|${section.key}|`))
      .map((key) => key.split("|")[2] ?? "");
    const entries = [...new Set([...typed, ...(added[section.key] ?? [])])].filter((id) => id !== "");
    return entries.length > 0 ? entries : [firstEntry(section)];
  };
  const add = (section: FormSection) =>
    setAdded((all) => ({
      ...all,
      [section.key]: [...new Set([...(all[section.key] ?? []), ...entriesOf(section), crypto.randomUUID()])],
    }));
  const remove = (section: FormSection, entry: string) => {
    const rest = Object.fromEntries(
      Object.entries(values).filter(([key]) => !key.startsWith(`file|${section.key}|${entry}|`)),
    );
    setValues(rest);
    setAdded((all) => ({ ...all, [section.key]: (all[section.key] ?? []).filter((id) => id !== entry) }));
    ask(rest);
  };

  return (
    <>
      {first.tracks.length > 1 ? (
        <fieldset className="options">
          <legend>{say(locale, "apply.track")}</legend>
          {first.tracks.map((t) => (
            <label key={t.key} className="tick">
              <input
                type="radio"
                name="track"
                checked={track === t.key}
                onChange={() => {
                  setTrack(t.key);
                  ask(values, t.key);
                }}
              />{" "}
              {t.title[locale]}
            </label>
          ))}
        </fieldset>
      ) : null}
      <div className="section-form check-form">
        {data.sections.map((section) => {
          if (!section.applies) return null;
          const context = {
            section,
            locale,
            office: data.office,
            values,
            left,
            states: {},
            set: (place: Parameters<typeof placeKey>[0], value: Json) =>
              setValues((all) => ({ ...all, [placeKey(place)]: value })),
            leave: (place: Parameters<typeof placeKey>[0], value: Json) => {
              const next = { ...values, [placeKey(place)]: value };
              setValues(next);
              setLeft((all) => ({ ...all, [placeKey(place)]: value }));
              ask(next);
            },
            resolve: () => undefined,
          };
          const entries = entriesOf(section);
          return (
            <section key={section.key} aria-label={section.title[locale]}>
              <h2>{section.title[locale]}</h2>
              {fitsGrid(section) ? (
                <EntryGrid context={context} entries={entries} onRemove={(entry) => remove(section, entry)} />
              ) : (
                entries.map((entry, i) => (
                  <fieldset key={entry} className={section.repeats ? "entry" : undefined}>
                    {section.repeats ? <legend>{say(locale, "form.entry", { no: i + 1 })}</legend> : null}
                    <EntryFields context={context} entry={entry} />
                    {section.repeats ? (
                      <Button type="text" onClick={() => remove(section, entry)}>
                        {say(locale, "form.remove")}
                      </Button>
                    ) : null}
                  </fieldset>
                ))
              )}
              {section.repeats ? (
                <p>
                  <Button onClick={() => add(section)}>{say(locale, "form.add")}</Button>
                </p>
              ) : null}
            </section>
          );
        })}
      </div>
      <Findings data={data} locale={locale} apply={apply} onApply={() => askToCarry(code)} />
      <p>
        <button
          type="button"
          className="link-button"
          onClick={() => {
            setValues({});
            setAdded({});
            askToCarry(null);
            ask({});
          }}
        >
          {say(locale, "check.clear")}
        </button>
      </p>
    </>
  );
}
