"use client";

import { Button, Input } from "antd";
import { useId, useState } from "react";
import { type RequirementResult, shownBeside } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { countryName } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import type { FileCase } from "../../views/rulings/rulings";
import { WithReason } from "../assessment/with-reason.client";
import { OfficeDay } from "../frame/office-day.client";
import { useAsking } from "../frame/unanswered.client";

interface Props {
  readonly one: FileCase;
  readonly act: ActOnFile;
}

const NEAR_WORDS = {
  same: "The same case",
  "same institution": "From the same institution",
  "same country": "From the same country, at the same level",
} as const;

/** Institution and country in words, and the level by its number. */
const whence = ({ institution, country, level }: FileCase["about"]): string =>
  [institution, country && countryName("en", country), level && `level ${level}`].filter(Boolean).join(", ");

/** Earlier rulings on like cases, the nearest first, each to be taken over with a press. */
function Earlier({ one, rule }: { one: FileCase; rule: (earlier: string) => void }) {
  if (one.earlier.length === 0)
    return one.answer === null ? <p className="quiet">No case like it was ruled on before.</p> : null;
  return (
    <ul className="plain-list earlier">
      {one.earlier.map((e) => (
        <li key={e.id}>
          <span className="quiet">{NEAR_WORDS[e.nearness]}:</span> <strong>{e.verdict}</strong>
          {e.nearness === "same" ? "" : ` · ${[e.title, e.institution].filter(Boolean).join(", ")}`} · {e.reason}
          <RulingTerms {...e} />{" "}
          <span className="quiet">
            {e.by}, <OfficeDay at={e.at} />; holds in {e.files} {e.files === 1 ? "file" : "files"}
          </span>{" "}
          {one.answer === e.verdict && one.by === "ruling" ? null : (
            <Button size="small" onClick={() => rule(e.id)}>
              Rule the same
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What was ruled beside the verdict, in the words of whoever ruled. */
export function RulingTerms({ equalTo, limits }: { equalTo: string | null; limits: string | null }) {
  return (
    <>
      {equalTo === null ? null : <span className="ruling-term">Held equal to: {equalTo}</span>}
      {limits === null ? null : <span className="ruling-term">Limits: {limits}</span>}
    </>
  );
}

interface Terms {
  readonly equalTo: string;
  readonly limits: string;
}

/** What a case is held equal to, and its limits: both may be left open, and the applicant reads both. */
function TermsInput({ value, onChange }: { value: Terms; onChange: (next: Terms) => void }) {
  const id = useId();
  const box = (name: keyof Terms, label: string, most: number) => (
    <div className="field">
      <label htmlFor={`${id}-${name}`}>{label}</label>
      <Input
        id={`${id}-${name}`}
        maxLength={most}
        value={value[name]}
        onChange={(e) => onChange({ ...value, [name]: e.target.value })}
      />
    </div>
  );
  return (
    <>
      {box("equalTo", "Held equal to (if you like: a level, a degree, a grade; the applicant reads it)", 200)}
      {box("limits", "Limits (if there are any; the applicant reads them)", 500)}
    </>
  );
}

const orNull = (text: string) => (text.trim() === "" ? null : text);

function Case({ one, act }: Props) {
  const [terms, setTerms] = useState<Terms>({ equalTo: "", limits: "" });
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const { question, scope, section, entry } = one;
  const place = { question, scope, section, entry };
  const run = (act: () => Promise<string | null>) =>
    begin(async () => {
      setSaid(await act());
    });
  const rule = (verdict: "accepted" | "refused", consequence: string) => (
    <WithReason
      open={verdict === "accepted" ? "Accept it" : "Refuse it"}
      does={verdict === "accepted" ? "Rule: accepted" : "Rule: refused"}
      label="Why"
      consequence={consequence}
      act={(reason) =>
        act("rule-on-case", {
          ...place,
          verdict,
          reason,
          equalTo: verdict === "accepted" ? orNull(terms.equalTo) : null,
          limits: verdict === "accepted" ? orNull(terms.limits) : null,
        })
      }
    >
      {verdict === "accepted" ? <TermsInput value={terms} onChange={setTerms} /> : null}
    </WithReason>
  );
  return (
    <div className="case" data-answer={one.answer ?? "open"}>
      <p>
        <strong>{one.title.en || "Not named yet"}</strong> <span className="quiet">{whence(one.about)}</span>
      </p>
      <p>
        {one.by === "list" ? "Accepted: it stands in the office’s list." : null}
        {one.ruling ? (
          <>
            <strong>{one.ruling.verdict === "accepted" ? "Accepted" : "Refused"}</strong>: {one.ruling.reason}{" "}
            <span className="quiet">
              {one.ruling.by}, <OfficeDay at={one.ruling.at} />
            </span>
            <RulingTerms {...one.ruling} />
          </>
        ) : null}
        {one.changed ? <strong className="wrong"> It has changed since; the ruling no longer holds.</strong> : null}
        {one.answer === null && !one.changed ? "Nobody has ruled on it yet." : null}
      </p>
      <Earlier one={one} rule={(earlier) => run(() => act("rule-on-case", { ...place, earlier }))} />
      {one.answer === null ? (
        <div className="case-acts">
          {rule("accepted", "It is accepted here, and the ruling is offered in like cases from now on.")}
          {rule("refused", "It is refused here, and the ruling is offered in like cases from now on.")}
        </div>
      ) : one.by === "ruling" ? (
        <div className="presses">
          <Button loading={busy} onClick={() => run(() => act("end-case-ruling", place))}>
            Take the ruling back
          </Button>
        </div>
      ) : (
        rule("refused", "The list accepts it; your ruling goes before the list, here and in like cases.")
      )}
      {said ? (
        <p role="alert" className="wrong">
          {said}
        </p>
      ) : null}
    </div>
  );
}

/** Whether a case stands beside a requirement: about the entry whose document it is, or among the sections that answer it. */
function standsBeside(about: RequirementResult, { section, entry }: FileCase): boolean {
  if (about.kind === "sections") return about.sections.includes(section);
  return (
    shownBeside(about).some((field) => field.startsWith(`${section}.`)) &&
    (about.entry === "" || entry === "" || about.entry === entry)
  );
}

/** What the entry rules ask a ruling on, with earlier rulings on like cases beside it. */
export function Cases({ data, about, act }: { data: FileData; about?: RequirementResult; act: ActOnFile }) {
  // In a draft nobody looks at what was not asked about.
  const shown = data.assessment.file.stage === "preparing" ? data.cases.filter((c) => c.early) : data.cases;
  const own = shown.filter((c) => about === undefined || standsBeside(about, c));
  if (own.length === 0) return null;
  return (
    <section className="cases" aria-label="Rulings">
      {[...new Set(own.map((c) => c.asks.en))].map((asks) => (
        <div key={asks}>
          <h3>Ruling: {asks}</h3>
          {own
            .filter((c) => c.asks.en === asks)
            .map((one) => (
              <Case key={`${one.scope} ${one.section} ${one.entry}`} one={one} act={act} />
            ))}
        </div>
      ))}
    </section>
  );
}
