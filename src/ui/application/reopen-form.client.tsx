"use client";

import { Button, Checkbox } from "antd";
import { useState } from "react";
import { type EntryPlace, sectionKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { WithReason } from "../assessment/with-reason.client";
import { MomentField } from "../catalogue/fields.client";
import { useAsking } from "../frame/unanswered.client";

type SectionPlace = Pick<EntryPlace, "scope" | "section">;

/** Opens named sections of a submitted form again. */
export function ReopenForm({
  sections,
  asked,
  due,
  act,
}: {
  sections: readonly (SectionPlace & { readonly title: string })[];
  /** The sections that the applicant asked for: chosen to begin with. */
  asked: readonly SectionPlace[];
  due: string;
  act: ActOnFile;
}) {
  const [chosen, setChosen] = useState<readonly string[]>(asked.map(sectionKey));
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
        const refused = await act("reopen-sections", {
          sections: sections
            .filter((s) => chosen.includes(sectionKey(s)))
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
            key={sectionKey(s)}
            checked={chosen.includes(sectionKey(s))}
            onChange={(e) =>
              setChosen(e.target.checked ? [...chosen, sectionKey(s)] : chosen.filter((c) => c !== sectionKey(s)))
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
export function ReopenPresses({ sent, act }: { sent: boolean; act: ActOnFile }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const run = (name: "read-corrections" | "end-reopening") =>
    begin(async () => {
      setWrong(await act(name, {}));
    });
  return (
    <div className="presses">
      {sent ? (
        <Button type="primary" loading={busy} onClick={() => run("read-corrections")}>
          I have read what changed
        </Button>
      ) : (
        <>
          <Button loading={busy} onClick={() => run("end-reopening")}>
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

/** Refuses what the applicant wants to correct. */
export function RefuseCorrection({ act }: { act: ActOnFile }) {
  return (
    <WithReason
      open="Refuse it"
      does="Refuse the correction"
      label="Why not (the applicant reads this)"
      consequence="The form stays as it was submitted, and the applicant is told why."
      act={(reason) => act("refuse-correction", { reason })}
    />
  );
}
