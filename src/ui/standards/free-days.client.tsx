"use client";

import { Button, InputNumber } from "antd";
import { useState } from "react";
import type { CalendarData } from "../../core/calendar/working-days";
import { formatDay, parseDay, weekday } from "../../core/time/day";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"] as const;
const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;
const DAYS = Array.from({ length: 31 }, (_, i) => i + 1);
const two = (n: number) => String(n).padStart(2, "0");

/** A year as a sheet of twelve lines: a press on a day makes it free, or a working day again. */
function YearSheet({
  year,
  calendar,
  writable,
  toggle,
}: {
  year: string;
  calendar: CalendarData;
  writable: boolean;
  toggle: (date: string) => void;
}) {
  const free = new Set(calendar.holidays[year] ?? []);
  return (
    <table className="year-sheet">
      <caption>{year}</caption>
      <tbody>
        {MONTHS.map((name, month) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            {DAYS.map((n) => {
              const date = `${year}-${two(month + 1)}-${two(n)}`;
              const day = parseDay(date);
              if (day === null) return <td key={n} />;
              const weekend = calendar.weekend.includes(weekday(day));
              return (
                <td key={n}>
                  <button
                    type="button"
                    disabled={!writable || weekend}
                    data-weekend={weekend}
                    aria-pressed={free.has(date)}
                    aria-label={`${n} ${name} ${year}, ${weekend ? "weekend" : free.has(date) ? "free" : "working day"}`}
                    onClick={() => toggle(formatDay(day))}
                  >
                    {n}
                  </button>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The days on which the office does not count: the weekend, and the free days of each year. */
export function FreeDays({
  value,
  writable,
  onChange,
}: {
  value: CalendarData;
  writable: boolean;
  onChange: (next: CalendarData) => void;
}) {
  const years = Object.keys(value.holidays).sort();
  const [shown, setShown] = useState(years.find((y) => Number(y) >= new Date().getFullYear()) ?? years.at(-1) ?? "");
  const next = Number(years.at(-1) ?? new Date().getFullYear() - 1) + 1;
  const [fresh, setFresh] = useState(next);
  const set = (year: string, days: readonly string[]) =>
    onChange({ ...value, holidays: { ...value.holidays, [year]: [...days].sort() } });
  return (
    <div className="part-form free-days">
      <p>Deadlines are counted in working days. A year without a sheet leaves what falls into it open.</p>
      <fieldset className="weekend-days">
        <legend>Weekend</legend>
        {WEEKDAYS.map((name, i) => (
          <Button
            key={name}
            size="small"
            disabled={!writable}
            type={value.weekend.includes(i + 1) ? "primary" : "default"}
            aria-pressed={value.weekend.includes(i + 1)}
            onClick={() =>
              onChange({
                ...value,
                weekend: value.weekend.includes(i + 1)
                  ? value.weekend.filter((d) => d !== i + 1)
                  : [...value.weekend, i + 1].sort(),
              })
            }
          >
            {name}
          </Button>
        ))}
      </fieldset>
      <div className="year-choice">
        {years.map((year) => (
          <Button
            key={year}
            size="small"
            type={year === shown ? "primary" : "text"}
            aria-pressed={year === shown}
            onClick={() => setShown(year)}
          >
            {year}
          </Button>
        ))}
        {writable ? (
          <>
            <InputNumber
              size="small"
              aria-label="Year to add"
              min={2000}
              max={2060}
              value={fresh}
              onChange={(n) => setFresh(n ?? next)}
            />
            <Button
              size="small"
              disabled={years.includes(String(fresh))}
              onClick={() => {
                // The days that do not move are taken from the last sheet; Easter and Mondays are for a person to set.
                const last = value.holidays[years.at(-1) ?? ""] ?? [];
                const before = new Set((value.holidays[years.at(-2) ?? ""] ?? []).map((d) => d.slice(5)));
                const fixed = last.map((d) => d.slice(5)).filter((d) => before.size === 0 || before.has(d));
                set(
                  String(fresh),
                  fixed.map((d) => `${fresh}-${d}`),
                );
                setShown(String(fresh));
                setFresh(fresh + 1);
              }}
            >
              Add this year
            </Button>
          </>
        ) : null}
      </div>
      {shown ? (
        <YearSheet
          year={shown}
          calendar={value}
          writable={writable}
          toggle={(date) => {
            const days = value.holidays[shown] ?? [];
            set(shown, days.includes(date) ? days.filter((d) => d !== date) : [...days, date]);
          }}
        />
      ) : null}
    </div>
  );
}
