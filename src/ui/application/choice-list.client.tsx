"use client";

import { Button, Select } from "antd";
import { useState } from "react";
import type { Option } from "../../core/catalogue/programme";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { moved, OrderedList } from "../form/fields/ranked-input.client";
import { RankedPicks } from "../form/fields/ranked-picks.client";
import { ConfirmPress } from "../frame/confirm-press.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

export interface ChoiceLine {
  readonly id: string;
  readonly label: string;
  readonly code: string;
  readonly note: string;
  readonly lacks: string | null;
  readonly live: boolean;
  /** What withdrawing it means for the fees. */
  readonly fees: string;
  /** Options may still be changed. */
  readonly editable: boolean;
  readonly picks: readonly {
    readonly name: Option;
    readonly label: string;
    readonly value: string | null;
    readonly options: readonly { readonly value: string; readonly label: string }[];
  }[];
  /** The tracks in the order of preference, where the programme asks for one. */
  readonly tracks: {
    readonly label: string;
    readonly picked: readonly string[];
    readonly options: readonly { readonly value: string; readonly label: string }[];
  } | null;
}

type Pressed = string | null;

/** Choices in the order of preference, each with its options; a change counts as soon as it is made. */
export function ChoiceList({
  lines,
  ranked,
  locale,
  arrange,
  change,
  withdraw,
}: {
  lines: readonly ChoiceLine[];
  ranked: boolean;
  locale: Locale;
  arrange: (order: string[]) => Promise<Pressed>;
  change: (choiceId: string, part: Option | "tracks", value: string | readonly string[]) => Promise<Pressed>;
  withdraw: (choiceId: string) => Promise<Pressed>;
}) {
  const live = lines.filter((l) => l.live);
  const [order, setOrder] = useState<readonly string[] | null>(null);
  const [orders, setOrders] = useState<Readonly<Record<string, readonly string[]>>>({});
  const [said, setSaid] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [, begin] = useAsking();
  const ids = order ?? live.map((l) => l.id);
  const shown = ids.flatMap((id) => live.find((l) => l.id === id) ?? []);

  const put = (next: readonly string[], subject: string) => {
    setOrder(next);
    setSaid("");
    begin(async () => {
      const refused = await arrange([...next]);
      setWrong(refused);
      setOrder(refused ? null : next);
      if (refused) return;
      // Said once it is kept: whoever has read it may leave the page.
      const programme = live.find((l) => l.id === subject)?.label ?? "";
      setSaid(sentence(locale, "choices.moved", { programme, rank: next.indexOf(subject) + 1 }));
    });
  };
  const pick = (id: string, part: Option | "tracks", value: string | readonly string[]) =>
    begin(async () => {
      const refused = await change(id, part, value);
      setWrong(refused);
      setSaid(refused ? "" : sentence(locale, "choices.saved"));
    });

  const rankTracks = (id: string, tracks: readonly string[]) => {
    setOrders((all) => ({ ...all, [id]: tracks }));
    begin(async () => {
      const refused = await change(id, "tracks", tracks);
      setWrong(refused);
      setSaid(refused ? "" : sentence(locale, "choices.saved"));
      if (refused) setOrders(({ [id]: _back, ...others }) => others);
    });
  };

  const body = (line: ChoiceLine, i: number) => (
    <div className="choice-line">
      <div className="choice-head">
        <span className="serif grow">
          {line.label} <span className="code">{line.code}</span>
        </span>
        {ranked && live.length > 1 ? (
          <span className="moves">
            <Button
              disabled={i === 0}
              aria-label={sentence(locale, "choices.up", { programme: line.label })}
              onClick={() => put(moved(ids, i, i - 1), line.id)}
            >
              ↑
            </Button>
            <Button
              disabled={i === ids.length - 1}
              aria-label={sentence(locale, "choices.down", { programme: line.label })}
              onClick={() => put(moved(ids, i, i + 1), line.id)}
            >
              ↓
            </Button>
          </span>
        ) : null}
      </div>
      <p className="quiet">{line.note}</p>
      {line.lacks ? <p>{line.lacks}</p> : null}
      {line.picks.map((p) => (
        <div key={p.name} className="choice-pick">
          <label htmlFor={`${line.id}-${p.name}`}>{p.label}</label>
          <Select
            id={`${line.id}-${p.name}`}
            disabled={!line.editable}
            value={p.value ?? undefined}
            options={p.options.map((o) => ({ ...o }))}
            onChange={(value: string) => pick(line.id, p.name, value)}
          />
        </div>
      ))}
      {line.tracks ? (
        <div className="choice-pick">
          <label htmlFor={`${line.id}-tracks`}>{line.tracks.label}</label>
          <RankedPicks
            id={`${line.id}-tracks`}
            options={line.tracks.options}
            picked={orders[line.id] ?? line.tracks.picked}
            least={1}
            disabled={!line.editable}
            locale={locale}
            onOrder={(tracks) => rankTracks(line.id, tracks)}
          />
        </div>
      ) : null}
      {live.length > 1 ? (
        <ConfirmPress
          action={withdraw.bind(null, line.id)}
          label={sentence(locale, "choices.withdraw")}
          question={`${sentence(locale, "choices.withdrawAsk", { programme: line.label })} ${line.fees}`}
          locale={locale}
        />
      ) : null}
    </div>
  );

  const gone = lines.filter((l) => !l.live);
  return (
    <div className="choices">
      {ranked && live.length > 1 ? <p className="quiet">{sentence(locale, "choices.intro")}</p> : null}
      <OrderedList
        items={shown.map((l) => ({ id: l.id, label: l.label }))}
        disabled={!ranked || live.length < 2}
        label={sentence(locale, "choices.title")}
        gripLabel={(item) => item.label}
        onOrder={(next) => {
          const subject = next.find((id, i) => ids[i] !== id) ?? "";
          put(next, subject);
        }}
        render={(item, i) => {
          const line = shown.find((l) => l.id === item.id);
          return line ? body(line, i) : null;
        }}
      />
      <p role="status" className="quiet">
        {said}
      </p>
      <Wrong text={wrong} />
      {gone.map((l) => (
        <p key={l.id} className="quiet">
          {l.label} ({l.code}): {l.note}
        </p>
      ))}
    </div>
  );
}
