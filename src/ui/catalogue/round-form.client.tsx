"use client";

import { Button, Checkbox } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import type { RoundDraft } from "./drafts";
import { MomentField, NumberField, TextField } from "./fields.client";
import { type Said, SaidLine } from "./said";

interface Known {
  readonly id: string;
  readonly version: number;
  readonly drafts: number;
  readonly closed: boolean;
}

/** A round with its opening and the closing of each group. A change says why, and those who prepare an application are told. */
export function RoundForm({
  known,
  first,
  groups,
  zone,
  mayChange,
  store,
  close,
  reopen,
}: {
  known: Known | null;
  first: RoundDraft;
  groups: readonly { readonly key: string; readonly title: string }[];
  zone: string;
  mayChange: boolean;
  store: (known: Known | null, draft: RoundDraft, reason: string) => Promise<string | null>;
  close: ((reason: string) => Promise<string | null>) | null;
  reopen: ((reason: string) => Promise<string | null>) | null;
}) {
  const [draft, setDraft] = useState(first);
  const [reason, setReason] = useState("");
  const [said, setSaid] = useState<Said>(null);
  const [busy, begin] = useAsking();
  const set = (change: Partial<RoundDraft>) => setDraft((all) => ({ ...all, ...change }));
  const disabled = !mayChange;
  const [one, setOne] = useState(
    groups.length > 1 && first.closings.length === groups.length && new Set(first.closings.map((c) => c.at)).size === 1,
  );
  const setAll = (at: string) => set({ closings: at === "" ? [] : groups.map((g) => ({ group: g.key, at })) });
  const closingOf = (group: string) => draft.closings.find((c) => c.group === group)?.at ?? "";
  const setClosing = (group: string, at: string) =>
    set({ closings: [...draft.closings.filter((c) => c.group !== group), ...(at === "" ? [] : [{ group, at }])] });

  const wrong = (): string | null => {
    if (draft.key.trim() === "") return "Give the round a name, for example 1.";
    if (draft.opensAt === "") return "Say when it opens.";
    const lacking = groups.find((g) => closingOf(g.key) === "");
    if (lacking) return one ? "Say when it closes." : `Say when it closes for the ${lacking.title}.`;
    if (draft.closings.some((c) => c.at <= draft.opensAt)) return "A closing has to be later than the opening.";
    return known && reason.trim() === "" ? "Say why: those who prepare an application read it." : null;
  };
  const run = (what: () => Promise<string | null>, done: string) =>
    begin(async () => {
      const refused = await what();
      setSaid(refused ? { text: refused, bad: true } : { text: done, bad: false });
      if (!refused) setReason("");
    });
  const needReason = (what: (reason: string) => Promise<string | null>, done: string) => {
    if (reason.trim() === "") setSaid({ text: "Say why: those who prepare an application read it.", bad: true });
    else run(() => what(reason), done);
  };
  const told =
    known && known.drafts > 0 ? ` ${known.drafts} ${known.drafts === 1 ? "person was" : "people were"} told.` : "";

  return (
    <form
      className="plan-form round-form"
      onSubmit={(e) => {
        e.preventDefault();
        const sentence = wrong();
        if (sentence) setSaid({ text: sentence, bad: true });
        else run(() => store(known, draft, reason), `Saved.${told}`);
      }}
    >
      <TextField
        label="Round"
        disabled={disabled || known !== null}
        value={draft.key}
        onChange={(key) => set({ key })}
      />
      <MomentField
        label={`Opens (${zone})`}
        time
        disabled={disabled}
        value={draft.opensAt}
        onChange={(opensAt) => set({ opensAt })}
      />
      {one ? (
        <MomentField
          label="Closes, for everybody"
          time
          disabled={disabled}
          value={draft.closings[0]?.at ?? ""}
          onChange={setAll}
        />
      ) : (
        groups.map((g) => (
          <MomentField
            key={g.key}
            label={`Closes, ${g.title}`}
            time
            disabled={disabled}
            value={closingOf(g.key)}
            onChange={(at) => setClosing(g.key, at)}
          />
        ))
      )}
      {groups.length > 1 ? (
        <div className="plan-field">
          <Checkbox
            disabled={disabled}
            checked={one}
            onChange={(e) => {
              setOne(e.target.checked);
              if (e.target.checked) setAll(draft.closings[0]?.at ?? "");
            }}
          >
            one closing for all groups
          </Checkbox>
        </div>
      ) : null}
      <NumberField
        label="Decision within (working days)"
        disabled={disabled}
        value={draft.promiseDays}
        onChange={(promiseDays) => set({ promiseDays })}
      />
      <div className="plan-wide presses">
        <Checkbox
          disabled={disabled}
          checked={draft.prepareBefore}
          onChange={(e) => set({ prepareBefore: e.target.checked })}
        >
          may be prepared before it opens
        </Checkbox>
        <Checkbox disabled={disabled} checked={draft.rolling} onChange={(e) => set({ rolling: e.target.checked })}>
          rolling: files are decided as they come
        </Checkbox>
        <Checkbox
          disabled={disabled}
          checked={draft.closesWhenFull}
          onChange={(e) => set({ closesWhenFull: e.target.checked })}
        >
          closes with the last place
        </Checkbox>
        <Checkbox
          disabled={disabled}
          checked={draft.ifPlacesLeft}
          onChange={(e) => set({ ifPlacesLeft: e.target.checked })}
        >
          opens only if places are left then
        </Checkbox>
      </div>
      {disabled ? null : (
        <>
          {known ? (
            <div className="plan-wide">
              <TextField
                label="Reason"
                help={`${known.drafts} ${known.drafts === 1 ? "person prepares" : "people prepare"} an application in this round and will read it in a mail.`}
                value={reason}
                onChange={setReason}
              />
            </div>
          ) : null}
          <div className="plan-wide presses">
            <Button type={known ? "default" : "primary"} htmlType="submit" loading={busy}>
              {known ? "Save the round" : "Add the round"}
            </Button>
            {close && !known?.closed ? (
              <Button onClick={() => needReason(close, `Closed.${told}`)}>Close it now</Button>
            ) : null}
            {reopen && known?.closed ? (
              <Button onClick={() => needReason(reopen, `Open again.${told}`)}>Open it again</Button>
            ) : null}
            <SaidLine said={said} />
          </div>
        </>
      )}
    </form>
  );
}
