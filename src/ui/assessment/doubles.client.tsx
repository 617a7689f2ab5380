"use client";

import { Button, Radio } from "antd";
import Link from "next/link";
import { useId, useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { doubleReasons } from "../../text/words/doubles";
import type { FileData } from "../../views/assessment/file-data";
import type { Double, FileAccount } from "../../views/people/doubles";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";
import { WithReason } from "./with-reason.client";

type Verdict = "same" | "different" | "undecided";

const listed = (numbers: readonly string[]): string => numbers.map((n) => `No. ${n}`).join(", ");

/** Gives the files of both accounts to one of them, once it is said whose account stays and what will happen. */
function JoinAccounts({ double, data, act }: { double: Double; data: FileData; act: ActOnFile }) {
  const id = useId();
  const [keep, setKeep] = useState<"this" | "other">("this");
  const here = { email: data.email, numbers: [data.number, ...data.account.others.map((o) => o.number)] };
  const [kept, given] = keep === "this" ? [here, double.account] : [double.account, here];
  return (
    <WithReason
      open="Bring both into one account"
      does="Bring them together"
      label="How you know that it is one person"
      consequence={`${listed(given.numbers)} will be in the account of ${kept.email}, beside ${listed(kept.numbers)}. Answers, documents, payments and decisions stay as they are in each file. ${given.email} can no longer sign in; both addresses are told. It can be taken back.`}
      act={(reason) => act("join-accounts", { otherNumber: double.number, keep, reason })}
    >
      <div className="field">
        <span id={id}>Whose account stays</span>
        <Radio.Group
          aria-labelledby={id}
          value={keep}
          onChange={(e) => setKeep(e.target.value)}
          options={[
            { value: "this", label: `${here.email} (this file)` },
            { value: "other", label: `${double.account.email} (${double.number})` },
          ]}
        />
      </div>
    </WithReason>
  );
}

function Line({ double, data, lead, act }: { double: Double; data: FileData; lead: boolean; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const say = (verdict: Verdict) =>
    begin(async () => {
      setWrong(await act("judge-same-person", { otherNumber: double.number, verdict }));
    });
  const { said } = double;
  const link = (
    <Link href={`/office/files/${double.number}`}>
      {double.number} {double.name}
    </Link>
  );
  return (
    <li>
      <span>
        {said === null
          ? "Perhaps the same person: "
          : said.verdict === "same"
            ? "The same person: "
            : "Not the same person: "}
        {link} <span className="quiet">{double.programmes.join(", ")}</span>
        <span className="quiet">
          {" "}
          · {doubleReasons(double.seen).join(", ")}
          {said ? (
            <>
              {" "}
              · {said.by}, <OfficeDay at={said.at} />
            </>
          ) : null}
        </span>
      </span>
      <span className="presses">
        {said === null ? (
          <>
            <Button size="small" loading={busy} onClick={() => say("same")}>
              The same
            </Button>
            <Button size="small" disabled={busy} onClick={() => say("different")}>
              Not the same
            </Button>
          </>
        ) : (
          <Button size="small" loading={busy} onClick={() => say("undecided")}>
            Take back
          </Button>
        )}
        {wrong ? (
          <span role="alert" className="wrong">
            {wrong}
          </span>
        ) : null}
      </span>
      {lead && said?.verdict === "same" ? <JoinAccounts double={double} data={data} act={act} /> : null}
    </li>
  );
}

/** What else is in the account of this file, and where it came from. */
function Account({ account, lead, act }: { account: FileAccount; lead: boolean; act: ActOnFile }) {
  const { others, joined } = account;
  if (others.length === 0 && joined === null) return null;
  return (
    <li>
      {others.length > 0 ? (
        <span>
          In the same account:{" "}
          {others.map((o, i) => (
            <span key={o.number}>
              {i > 0 ? ", " : ""}
              <Link href={`/office/files/${o.number}`}>{o.number}</Link>{" "}
              <span className="quiet">
                {(o.programmes ?? []).join(", ")} {o.cycle}
              </span>
            </span>
          ))}
        </span>
      ) : null}
      {joined ? (
        <>
          <span className="quiet">
            {" "}
            {listed(joined.numbers)} came from the account of {joined.email}: {joined.reason} {joined.by},{" "}
            <OfficeDay at={joined.at} />
          </span>
          {lead ? (
            <WithReason
              open="Take the accounts apart"
              does="Take them apart"
              label="Why they are two people, or two accounts"
              consequence={`${listed(joined.numbers)} will go back to the account of ${joined.email}. Both addresses are told.`}
              act={(reason) => act("part-accounts", { reason })}
            />
          ) : null}
        </>
      ) : null}
    </li>
  );
}

/** Other files that are, or look like, the same person's; what was judged not to be is folded away. */
export function Doubles({ data, lead, act }: { data: FileData; lead: boolean; act: ActOnFile }) {
  const { doubles, account } = data;
  const apart = doubles.filter((d) => d.said?.verdict === "different");
  const rest = doubles.filter((d) => d.said?.verdict !== "different");
  if (doubles.length === 0 && account.others.length === 0 && account.joined === null) return null;
  const line = (d: Double) => <Line key={d.number} double={d} data={data} lead={lead} act={act} />;
  return (
    <aside className="doubles" aria-label="Other files of this person">
      <ul className="plain-list">
        <Account account={account} lead={lead} act={act} />
        {rest.map(line)}
      </ul>
      {apart.length > 0 ? (
        <details>
          <summary className="quiet">
            {apart.length} {apart.length === 1 ? "file was" : "files were"} judged to be somebody else’s
          </summary>
          <ul className="plain-list">{apart.map(line)}</ul>
        </details>
      ) : null}
    </aside>
  );
}
