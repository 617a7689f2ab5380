"use client";

import { Button, Checkbox } from "antd";
import { useState, useTransition } from "react";
import { WithReason } from "../assessment/with-reason.client";
import { MomentField } from "../catalogue/fields.client";

interface SectionPlace {
  readonly scope: string;
  readonly section: string;
}

/** What the office may do about corrections; null when it was done, else the sentence that says why not. */
export interface ReopenActs {
  readonly reopen: (input: {
    readonly sections: SectionPlace[];
    readonly reason: string;
    readonly due: string;
  }) => Promise<string | null>;
  readonly refuse: (reason: string) => Promise<string | null>;
  readonly read: () => Promise<string | null>;
  readonly end: () => Promise<string | null>;
}

const placeKey = (p: SectionPlace) => `${p.scope}|${p.section}`;

/** Opens named sections of a submitted form again. */
export function ReopenForm({
  sections,
  asked,
  due,
  acts,
}: {
  sections: readonly (SectionPlace & { readonly title: string })[];
  /** The sections that the applicant asked for: chosen to begin with. */
  asked: readonly SectionPlace[];
  due: string;
  acts: ReopenActs;
}) {
  const [chosen, setChosen] = useState<readonly string[]>(asked.map(placeKey));
  const [day, setDay] = useState(due);
  return (
    <WithReason
      open="Open sections for correction"
      does={`Open ${chosen.length} ${chosen.length === 1 ? "section" : "sections"}`}
      label="What is to be corrected (the applicant reads this)"
      consequence="The applicant may change these sections until they send them again. What was submitted stays readable as it was."
      ready={chosen.length > 0 && day !== ""}
      unfolded={asked.length > 0}
      act={async (reason) => {
        const refused = await acts.reopen({
          sections: sections
            .filter((s) => chosen.includes(placeKey(s)))
            .map(({ scope, section }) => ({ scope, section })),
          reason,
          due: day,
        });
        if (refused === null) setChosen([]);
        return refused;
      }}
    >
      <fieldset className="picks">
        <legend>Sections</legend>
        {sections.map((s) => (
          <Checkbox
            key={placeKey(s)}
            checked={chosen.includes(placeKey(s))}
            onChange={(e) =>
              setChosen(e.target.checked ? [...chosen, placeKey(s)] : chosen.filter((c) => c !== placeKey(s)))
            }
          >
            {s.title}
          </Checkbox>
        ))}
      </fieldset>
      <MomentField label="To be sent by" time={false} value={day} onChange={setDay} />
    </WithReason>
  );
}

/** What can be done with a reopening: take it back while it is open, or say that the corrections were read. */
export function ReopenPresses({ sent, acts }: { sent: boolean; acts: ReopenActs }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const run = (act: () => Promise<string | null>) =>
    begin(async () => {
      setWrong(await act());
    });
  return (
    <div className="presses">
      {sent ? (
        <Button type="primary" loading={busy} onClick={() => run(acts.read)}>
          I have read what changed
        </Button>
      ) : (
        <>
          <Button loading={busy} onClick={() => run(acts.end)}>
            Take it back
          </Button>
          <span className="quiet">
            The sections are shut, and what was typed since becomes again what was submitted.
          </span>
        </>
      )}
      {wrong ? (
        <span role="alert" className="wrong">
          {wrong}
        </span>
      ) : null}
    </div>
  );
}
