"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import type { Locale } from "../../../core/text/local-text";
import { sentence, type TextKey } from "../../../text/sentence";
import type { FinderQuery } from "./query";

const PAUSE_MS = 250;

interface Option {
  readonly value: string;
  readonly label: string;
  /** What it stands under in the list. */
  readonly under?: string | undefined;
}

/** The options in their order, those under one heading together. */
function Options({ options }: { options: readonly Option[] }) {
  const headings = [...new Set(options.map((o) => o.under))];
  return headings.map((under) => {
    const own = options
      .filter((o) => o.under === under)
      .map((o) => (
        <option key={o.value} value={o.value}>
          {o.label}
        </option>
      ));
    return under === undefined ? (
      own
    ) : (
      <optgroup key={under} label={under}>
        {own}
      </optgroup>
    );
  });
}

function Pick({
  name,
  label,
  value,
  options,
  any,
}: {
  name: string;
  label: string;
  value: string | null;
  options: readonly Option[];
  any: string;
}) {
  return (
    <label className="pick">
      <span>{label}</span>
      <select name={name} defaultValue={value ?? ""}>
        <option value="">{any}</option>
        <Options options={options} />
      </select>
    </label>
  );
}

/**
 * The search, a plain form that works by its button alone; as it is filled in, the list follows. What was typed stays in the
 * address, so a search can be kept and sent on.
 */
export function FinderForm({
  query,
  locale,
  levels,
  awards,
  bodies,
  fields,
  languages,
  campuses,
  starts,
  countries,
  group,
}: {
  query: FinderQuery;
  locale: Locale;
  levels: readonly Option[];
  awards: readonly Option[];
  /** Who runs programmes; none where it is the office alone. */
  bodies: readonly Option[];
  fields: readonly Option[];
  languages: readonly Option[];
  campuses: readonly Option[];
  starts: readonly Option[];
  countries: readonly Option[];
  group: string | null;
}) {
  const router = useRouter();
  const [more, setMore] = useState(false);
  const form = useRef<HTMLFormElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const t = (key: TextKey) => sentence(locale, key);
  useEffect(() => () => clearTimeout(timer.current), []);

  const follow = (wait: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      if (!form.current) return;
      const params = new URLSearchParams();
      for (const [key, value] of new FormData(form.current)) if (value !== "") params.append(key, String(value));
      const text = params.toString();
      router.replace(text === "" ? "/" : `/?${text}`, { scroll: false });
    }, wait);
  };

  return (
    <form
      ref={form}
      className="finder-form"
      action="/"
      onChange={(e) => follow((e.target as HTMLElement).tagName === "INPUT" ? PAUSE_MS : 0)}
      onSubmit={(e) => {
        e.preventDefault();
        follow(0);
      }}
    >
      <label className="pick words">
        <span>{t("finder.words")}</span>
        <input
          type="search"
          name="q"
          defaultValue={query.words}
          placeholder={t("finder.wordsExample")}
          autoComplete="off"
        />
      </label>
      <label className="tick">
        <input type="checkbox" name="open" value="1" defaultChecked={query.open} /> {t("finder.openOnly")}
      </label>
      <button type="button" className="plain-button narrow-more" aria-expanded={more} onClick={() => setMore(!more)}>
        {t("finder.narrow")}
      </button>
      <div className="picks" data-open={more}>
        <Pick name="level" label={t("finder.level")} value={query.level} options={levels} any={t("finder.any")} />
        <Pick name="award" label={t("finder.award")} value={query.award} options={awards} any={t("finder.any")} />
        <Pick name="field" label={t("finder.field")} value={query.field} options={fields} any={t("finder.any")} />
        <Pick
          name="language"
          label={t("finder.language")}
          value={query.language}
          options={languages}
          any={t("finder.any")}
        />
        <Pick
          key={`campus-${query.campus ?? ""}`}
          name="campus"
          label={t("finder.where")}
          value={query.campus}
          options={campuses}
          any={t("finder.any")}
        />
        {bodies.length > 0 ? (
          <Pick name="by" label={t("finder.runBy")} value={query.by} options={bodies} any={t("finder.any")} />
        ) : null}
        <Pick name="start" label={t("finder.start")} value={query.start} options={starts} any={t("finder.any")} />
      </div>
      <fieldset className="who">
        <legend>{t("finder.who")}</legend>
        <p className="help">{t("finder.whoHelp")}</p>
        <div className="picks">
          <Pick
            name="from"
            label={t("finder.citizenship")}
            value={query.citizenships[0] ?? null}
            options={countries}
            any="—"
          />
          {query.citizenships.length > 0 ? (
            <Pick
              name="from"
              label={`${t("finder.citizenship")} 2`}
              value={query.citizenships[1] ?? null}
              options={countries}
              any="—"
            />
          ) : null}
          <Pick name="lives" label={t("finder.residence")} value={query.residence} options={countries} any="—" />
        </div>
        <p className="help" role="status">
          {group === null ? t("finder.groupUnknown") : sentence(locale, "finder.group", { group })}
        </p>
      </fieldset>
      <noscript>
        <button type="submit" className="press">
          {t("finder.show")}
        </button>
      </noscript>
    </form>
  );
}
