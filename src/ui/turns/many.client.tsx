"use client";

import { Button, Input, Select } from "antd";
import Link from "next/link";
import { useEffect, useState } from "react";
import type { Many, ManyLine } from "../../core/turns/many";
import type { ManyChoices } from "../../views/turns/many-choices";
import { DayInput } from "../form/fields/day-input.client";
import { Wrong } from "../frame/wrong";

export interface ManyWays {
  readonly choices: (ids: readonly string[]) => Promise<ManyChoices | null>;
  /** `really`: whether it is done, or only tried. */
  readonly doToSome: (ids: readonly string[], what: Many, really: boolean) => Promise<readonly ManyLine[] | null>;
}

export type ManyDeed = Many["do"];

export const DEED_WORDS: Readonly<Record<ManyDeed, string>> = {
  hand: "Hand on",
  assign: "Assign by the rules",
  ask: "Ask",
  remind: "Remind",
  excuse: "Excuse",
};

const AT_ONCE = 25;
const NO_LINES: readonly ManyLine[] = [];

const files = (n: number): string => (n === 1 ? "one file" : `${n} files`);

interface Draft {
  readonly officerId: string;
  readonly requirement: string;
  readonly text: string;
  readonly due: string;
}

/** What is to be done, as far as it was written; null while a part is missing. */
function whatOf(deed: ManyDeed, { officerId, requirement, text, due }: Draft): Many | null {
  const words = text.trim();
  switch (deed) {
    case "hand":
      if (officerId === "rules") return { do: "assign" };
      return officerId === "" ? null : { do: "hand", officerId: officerId === "nobody" ? null : officerId };
    case "assign":
      return { do: "assign" };
    case "remind":
      return { do: "remind", words };
    case "ask":
      return requirement && words && due ? { do: "ask", requirement, text: words, due } : null;
    case "excuse":
      return requirement && words ? { do: "excuse", requirement, reason: words } : null;
  }
}

function Fields({
  deed,
  draft,
  choices,
  change,
}: {
  deed: ManyDeed;
  draft: Draft;
  choices: ManyChoices;
  change: (part: Partial<Draft>) => void;
}) {
  const ofRequirement = deed === "ask" || deed === "excuse";
  return (
    <>
      {deed === "hand" ? (
        <div className="field">
          <label htmlFor="many-officer">Into whose hands</label>
          <Select
            id="many-officer"
            autoFocus
            showSearch={{ optionFilterProp: "label" }}
            value={draft.officerId || null}
            placeholder="Choose an officer"
            onChange={(officerId) => change({ officerId })}
            options={[
              { value: "rules", label: "By the office’s rules" },
              ...choices.officers.map((o) => ({
                value: o.id,
                label: `${o.name} · ${o.inHand} in hand${o.cover ? `, away: ${o.cover} stands in` : ""}`,
              })),
              { value: "nobody", label: "Nobody’s: whoever takes them" },
            ]}
          />
        </div>
      ) : null}
      {ofRequirement ? (
        <div className="field">
          <label htmlFor="many-requirement">{deed === "ask" ? "What we ask for" : "What is excused"}</label>
          <Select
            id="many-requirement"
            autoFocus
            showSearch={{ optionFilterProp: "label" }}
            value={draft.requirement || null}
            placeholder="Choose what is open in them"
            onChange={(requirement) => change({ requirement })}
            options={choices.open.map((o) => ({ value: o.key, label: `${o.title} · open in ${files(o.files)}` }))}
          />
        </div>
      ) : null}
      {deed === "hand" ? null : (
        <div className="field">
          <label htmlFor="many-text">
            {deed === "ask"
              ? "Words to the applicants"
              : deed === "excuse"
                ? "Reason, for us"
                : "A word of your own, if you like"}
          </label>
          <Input.TextArea
            id="many-text"
            autoSize={{ minRows: 2 }}
            maxLength={deed === "ask" ? 2000 : 1000}
            value={draft.text}
            onChange={(e) => change({ text: e.target.value })}
          />
        </div>
      )}
      {deed === "ask" ? (
        <div className="field">
          <label htmlFor="many-due">By when</label>
          <DayInput id="many-due" value={draft.due} precision="day" locale="en" onTake={(due) => change({ due })} />
        </div>
      ) : null}
    </>
  );
}

/** What comes of it file by file: first what does not, which is what one has to read. */
function Lines({ lines }: { lines: readonly ManyLine[] }) {
  const [all, setAll] = useState(false);
  const ordered = lines.toSorted((a, b) => Number(a.done) - Number(b.done));
  const shown = all ? ordered : ordered.slice(0, 8);
  return (
    <>
      <ul className="many-lines">
        {shown.map((line) => (
          <li key={line.id}>
            <Link href={`/office/files/${line.number}`} className="serif" prefetch={false}>
              {line.name || line.number}
            </Link>{" "}
            <span className={line.done ? "quiet" : "strong"}>
              {line.done ? "" : "Not: "}
              {line.says}
            </span>
          </li>
        ))}
      </ul>
      {lines.length > shown.length ? (
        <button type="button" className="bare" onClick={() => setAll(true)}>
          {lines.length - shown.length} more
        </button>
      ) : null}
    </>
  );
}

/** Does the same to all marked files: what is to be done, what would come of it in each, then the doing with its progress. */
export function ManyForm({
  deed,
  ids,
  due,
  ways,
  onDone,
  onCancel,
}: {
  deed: ManyDeed;
  ids: readonly string[];
  /** The day by which asks are answered as a rule. */
  due: string;
  ways: ManyWays;
  onDone: (said: string, lines: readonly ManyLine[]) => void;
  onCancel: () => void;
}) {
  const [choices, setChoices] = useState<ManyChoices | null>(null);
  const [draft, setDraft] = useState<Draft>({ officerId: "", requirement: "", text: "", due });
  const [looked, setLooked] = useState<readonly ManyLine[] | null>(null);
  const [through, setThrough] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const { choices: askChoices, doToSome } = ways;
  useEffect(() => {
    let there = true;
    askChoices(ids)
      .then((c) => (there && c ? setChoices(c) : undefined))
      .catch(() => setWrong("The choices did not come. Try again."));
    return () => {
      there = false;
    };
  }, [ids, askChoices]);
  const what = whatOf(deed, draft);
  const run = async (of: readonly string[], really: boolean): Promise<readonly ManyLine[] | null> => {
    if (!what) return null;
    setWrong(null);
    setThrough(0);
    const lines: ManyLine[] = [];
    try {
      for (let from = 0; from < of.length; from += AT_ONCE) {
        const some = await doToSome(of.slice(from, from + AT_ONCE), what, really);
        if (!some) throw new Error("refused");
        lines.push(...some);
        setThrough(Math.min(of.length, from + AT_ONCE));
      }
      return lines;
    } catch {
      setWrong(
        really && lines.length > 0
          ? `After ${files(lines.length)} no answer came. What was done stays done; look again to see what is left.`
          : "No answer came. Nothing was done; try again.",
      );
      return null;
    } finally {
      setThrough(null);
    }
  };
  const look = async () => setLooked(await run(ids, false));
  const go = async () => {
    const will = (looked ?? NO_LINES).filter((l) => l.done).map((l) => l.id);
    const lines = await run(will, true);
    if (!lines) return setLooked(null);
    const failed = lines.filter((l) => !l.done);
    onDone(
      `${DEED_WORDS[deed]}: done in ${files(lines.length - failed.length)}${failed.length > 0 ? `, not in ${files(failed.length)}: ${failed.map((f) => `${f.name || f.number} (${f.says})`).join(", ")}` : ""}.`,
      lines,
    );
  };
  const will = (looked ?? NO_LINES).filter((l) => l.done).length;
  return (
    <form
      className="many-form"
      aria-label={`${DEED_WORDS[deed]}: ${files(ids.length)}`}
      onSubmit={(e) => {
        e.preventDefault();
        void (looked ? go() : look());
      }}
    >
      <h2>
        {DEED_WORDS[deed]}: {files(ids.length)}
      </h2>
      {choices ? (
        <Fields
          deed={deed}
          draft={draft}
          choices={choices}
          change={(part) => {
            setDraft((d) => ({ ...d, ...part }));
            setLooked(null);
          }}
        />
      ) : (
        <p className="quiet">One moment …</p>
      )}
      {looked ? (
        <div role="status">
          <p>
            {will === 0 ? "In none of them anything would happen." : `It will be done in ${files(will)}`}
            {will > 0 && looked.length > will ? `, and not in ${files(looked.length - will)}` : ""}
            {will > 0 ? "." : ""}
          </p>
          <Lines lines={looked} />
        </div>
      ) : null}
      <p className="presses">
        {looked && will > 0 ? (
          <Button type="primary" htmlType="submit" loading={through !== null}>
            {DEED_WORDS[deed]} in {files(will)}
          </Button>
        ) : (
          <Button
            type="primary"
            htmlType="submit"
            disabled={what === null || looked !== null}
            loading={through !== null}
          >
            See what would happen
          </Button>
        )}{" "}
        <Button onClick={onCancel}>Not now</Button>
        {through !== null ? (
          <span className="quiet" role="status">
            {" "}
            {through} of {looked ? will : ids.length}
          </span>
        ) : null}
      </p>
      <Wrong text={wrong} />
    </form>
  );
}
