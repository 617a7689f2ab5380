"use client";

import { Button, Select } from "antd";
import { useState } from "react";
import type { z } from "zod";
import { noteAbsenceInput } from "../../core/turns/assigning";
import { formatDate } from "../../text/format";
import type { AssigningPage } from "../../views/turns/assigning";
import { SaidLine } from "../catalogue/said";
import { useCheckedForm } from "../catalogue/use-checked-form.client";
import { DayInput } from "../form/fields/day-input.client";
import { Wrong } from "../frame/wrong";

const EXPECTED = {
  coverId: "Choose who stands in, somebody else.",
  from: "Give the first day.",
  until: "Give the last day, not before the first.",
};

/** Who is away when, and who stands in: their files are among the other's own, and new ones go there. */
export function Absences({
  page,
  note,
  drop,
}: {
  page: AssigningPage;
  note: (input: z.input<typeof noteAbsenceInput>) => Promise<string | null>;
  drop: (absenceId: string) => Promise<string | null>;
}) {
  const { me, leads, officers, absences } = page;
  const clear = { personId: me, coverId: "", from: "", until: "" };
  const [draft, setDraft] = useState(clear);
  const [refused, setRefused] = useState<string | null>(null);
  const form = useCheckedForm(noteAbsenceInput, EXPECTED, note, () => setDraft(clear));
  const change = (part: Partial<typeof clear>) => setDraft((d) => ({ ...d, ...part }));
  const nameOf = (id: string) => officers.find((o) => o.id === id)?.name ?? "Somebody who left";
  const options = officers.map((o) => ({ value: o.id, label: o.name }));
  return (
    <section>
      <h2>Away</h2>
      {absences.length === 0 ? (
        <p className="empty">Nobody is away, and nobody is going to be.</p>
      ) : (
        <ul className="dashes">
          {absences.map((a) => (
            <li key={a.id}>
              <strong>{nameOf(a.personId)}</strong>, {formatDate("en", a.from)} to {formatDate("en", a.until)}:{" "}
              {nameOf(a.coverId)} stands in{a.now ? ", now" : ""}.{" "}
              {leads || a.personId === me ? (
                <Button size="small" onClick={async () => setRefused(await drop(a.id))}>
                  Take back
                </Button>
              ) : null}
            </li>
          ))}
        </ul>
      )}
      {refused ? <p role="alert">{refused}</p> : null}
      <form
        className="away-form"
        onSubmit={(e) => {
          e.preventDefault();
          form.save(draft);
        }}
      >
        <div className="field">
          <label htmlFor="away-who">Who is away</label>
          <Select
            id="away-who"
            showSearch={{ optionFilterProp: "label" }}
            value={draft.personId}
            disabled={!leads}
            onChange={(personId) => change({ personId })}
            options={options}
          />
        </div>
        <div className="field">
          <label htmlFor="away-from">First day</label>
          <DayInput id="away-from" value={draft.from} precision="day" locale="en" onTake={(from) => change({ from })} />
          <Wrong text={form.wrong.from ?? null} />
        </div>
        <div className="field">
          <label htmlFor="away-until">Last day</label>
          <DayInput
            id="away-until"
            value={draft.until}
            precision="day"
            locale="en"
            onTake={(until) => change({ until })}
          />
          <Wrong text={form.wrong.until ?? null} />
        </div>
        <div className="field">
          <label htmlFor="away-cover">Who stands in</label>
          <Select
            id="away-cover"
            showSearch={{ optionFilterProp: "label" }}
            value={draft.coverId || null}
            placeholder="Choose an officer"
            onChange={(coverId) => change({ coverId })}
            options={options.filter((o) => o.value !== draft.personId)}
          />
          <Wrong text={form.wrong.coverId ?? null} />
        </div>
        <Button htmlType="submit" loading={form.busy}>
          Note it
        </Button>
        <SaidLine said={form.said} />
      </form>
    </section>
  );
}
