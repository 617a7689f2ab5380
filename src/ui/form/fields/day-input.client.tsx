"use client";

import { Button, DatePicker, Input } from "antd";
import dayjs from "dayjs";
import { type ReactNode, useEffect, useRef, useState } from "react";
import type { Locale } from "../../../core/text/local-text";
import { readTypedDate, readTypedMoment, type TypedDate, type Unreadable } from "../../../core/time/typed-date";
import { formatDate, formatWritten } from "../../../text/format";
import { sentence } from "../../../text/sentence";

/** How precisely a date is asked for: to the day; to the day, month or year, as far as it is known; to the minute. */
export type Precision = "day" | "rough" | "minute";

interface Props {
  readonly id?: string;
  /** `YYYY-MM-DD`, shorter where that is asked for, with `THH:mm` for a moment; or a text that could not be read; "" for none. */
  readonly value: string;
  readonly precision: Precision;
  readonly locale: Locale;
  /** Gets "" for a text that is no date, but for one that keeps texts. */
  readonly onTake: (value: string) => void;
  /** A text that is no date is taken as it is, and whoever keeps it says what is wrong with it. Elsewhere it is said here. */
  readonly keepsText?: boolean;
  readonly disabled?: boolean;
  readonly invalid?: boolean;
  readonly size?: "small" | "middle";
  readonly required?: boolean;
  readonly label?: string;
  readonly describedBy?: string | undefined;
}

const PLACEHOLDERS: Readonly<Record<Precision, string>> = {
  day: "3 Feb 2027",
  rough: "3 Feb 2027",
  minute: "3 Feb 2027, 18:00",
};

const STORED: Readonly<Record<Precision, RegExp>> = {
  day: /^\d{4}-\d{2}-\d{2}$/u,
  rough: /^\d{4}(?:-\d{2}){0,2}$/u,
  minute: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/u,
};

function readAs(precision: Precision, typed: string): TypedDate {
  if (precision === "minute") return readTypedMoment(typed);
  const read = readTypedDate(typed);
  return read.kind === "read" && !STORED[precision].test(read.value) ? { kind: "unreadable", why: "unclear" } : read;
}

const waysOf = (precision: Precision, text: string): readonly string[] => {
  const read = readAs(precision, text);
  return read.kind === "two ways" ? read.values : [];
};

const whyOf = (precision: Precision, text: string): Unreadable | null => {
  const read = readAs(precision, text);
  return read.kind === "unreadable" ? read.why : null;
};

/** What is said of a text that is no date. */
function notRead(precision: Precision, locale: Locale, why: Unreadable): string {
  if (why !== "unclear") return sentence(locale, `issue.${why}`);
  return sentence(locale, precision === "minute" ? "day.notAMoment" : "issue.not-a-date");
}

/** A date as it is shown: with the month as a word, so that nobody can take it for another day; other texts as they are. */
const shownAs = (precision: Precision, locale: Locale, value: string): string => {
  if (!STORED[precision].test(value)) return value;
  return precision === "minute" ? formatWritten(locale, value) : formatDate(locale, value);
};

/** The calendar beside the box, for those who would rather point. Whoever types has the box. */
function Calendar({
  precision,
  value,
  disabled,
  size,
  onTake,
}: Pick<Props, "precision" | "value" | "disabled" | "size" | "onTake">) {
  const known = STORED[precision].test(value) ? dayjs(value) : null;
  return (
    <span className="day-calendar" aria-hidden="true">
      <DatePicker
        tabIndex={-1}
        inputReadOnly
        allowClear={false}
        disabled={disabled ?? false}
        size={size ?? "middle"}
        value={known}
        showTime={precision === "minute" ? { format: "HH:mm" } : false}
        onChange={(picked: dayjs.Dayjs | null) => {
          if (picked) onTake(picked.format(precision === "minute" ? "YYYY-MM-DDTHH:mm" : "YYYY-MM-DD"));
        }}
      />
    </span>
  );
}

/**
 * One box for a date, typed in any way that people write dates: as soon as it is left it shows how it was read. What can be read in two
 * ways is asked about, and what cannot be read stays as it was typed.
 */
export function DayInput(props: Props): ReactNode {
  const { id, value, precision, locale, disabled, invalid, size, onTake, keepsText } = props;
  const [typed, setTyped] = useState(() => shownAs(precision, locale, value));
  const [asked, setAsked] = useState(() => waysOf(precision, value));
  const [unread, setUnread] = useState<Unreadable | null>(null);
  const taken = useRef(value);
  // What comes from elsewhere (another window, the calendar, undo) replaces what stands in the box.
  useEffect(() => {
    if (value === taken.current) return;
    taken.current = value;
    setTyped(shownAs(precision, locale, value));
    setUnread(null);
    setAsked(waysOf(precision, value));
  }, [value, precision, locale]);

  const take = (iso: string) => {
    setTyped(shownAs(precision, locale, iso));
    setAsked([]);
    setUnread(null);
    taken.current = iso;
    onTake(iso);
  };
  const leave = () => {
    const text = typed.trim();
    if (text === shownAs(precision, locale, value)) return;
    if (text === "") return take("");
    const read = readAs(precision, text);
    if (read.kind === "read") return take(read.value);
    setAsked(waysOf(precision, text));
    setUnread(whyOf(precision, text));
    taken.current = keepsText ? text : "";
    onTake(taken.current);
  };
  const saysItself = unread !== null && !keepsText;
  return (
    <span className="day-input" data-precision={precision}>
      <Input
        {...(id ? { id } : {})}
        size={size ?? "middle"}
        disabled={disabled ?? false}
        status={invalid || saysItself ? "error" : ""}
        placeholder={PLACEHOLDERS[precision]}
        aria-label={props.label}
        aria-describedby={props.describedBy}
        aria-required={props.required}
        aria-invalid={(invalid ?? false) || saysItself}
        autoComplete="off"
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={leave}
        onPressEnter={(e) => {
          e.preventDefault();
          leave();
        }}
      />
      <Calendar
        precision={precision}
        value={value}
        disabled={disabled ?? false}
        size={size ?? "middle"}
        onTake={take}
      />
      {asked.length > 0 && !disabled ? (
        <span className="day-asked">
          {sentence(locale, "day.which")}{" "}
          {asked.map((iso) => (
            <Button key={iso} size="small" onClick={() => take(iso)}>
              {shownAs(precision, locale, iso)}
            </Button>
          ))}
        </span>
      ) : null}
      {saysItself && asked.length === 0 ? (
        <span className="wrong" role="alert">
          {notRead(precision, locale, unread)}
        </span>
      ) : null}
    </span>
  );
}
