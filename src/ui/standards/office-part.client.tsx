"use client";

import { Input } from "antd";
import { Labelled, NumberBox, Words } from "../rulebook/part-fields.client";
import type { PartProps } from "./part-props";

const TARGETS = [
  ["check", "To check what came in"],
  ["answer", "To answer a question"],
  ["ask", "For an applicant to answer an ask"],
  ["acceptOffer", "For an applicant to answer an offer"],
] as const;

/** What holds for the whole office: its name, clock and map, how long things are kept, and its targets. */
export function OfficePart({ set, disabled, onChange }: PartProps) {
  const outlines = (kind: "land" | "water") => (
    <Labelled label={kind === "land" ? "Map: outlines of the land" : "Map: lines of the water"} wide>
      {(id) => (
        <Input.TextArea
          id={id}
          autoSize={{ minRows: 2, maxRows: 8 }}
          disabled={disabled}
          value={(set.map?.[kind] ?? []).join("\n")}
          onChange={(e) => {
            const lines = e.target.value.split("\n");
            const drawn = lines.length === 1 && lines[0] === "" ? [] : lines;
            const map = { land: set.map?.land ?? [], water: set.map?.water ?? [], [kind]: drawn };
            onChange({ ...set, map: map.land.length + map.water.length === 0 ? null : map });
          }}
        />
      )}
    </Labelled>
  );
  return (
    <div className="part-form plan-form">
      <Words
        label="Name of the office"
        value={set.name}
        disabled={disabled}
        onChange={(name) => onChange({ ...set, name })}
      />
      <Labelled label="Time zone">
        {(id) => (
          <Input
            id={id}
            disabled={disabled}
            value={set.zone}
            onChange={(e) => onChange({ ...set, zone: e.target.value.trim() })}
          />
        )}
      </Labelled>
      <Labelled label="Currency (three letters)">
        {(id) => (
          <Input
            id={id}
            maxLength={3}
            disabled={disabled}
            value={set.currency}
            onChange={(e) => onChange({ ...set, currency: e.target.value.toUpperCase() })}
          />
        )}
      </Labelled>
      <NumberBox
        label="Minutes of grace after a closing"
        value={set.graceMinutes}
        disabled={disabled}
        onChange={(n) => onChange({ ...set, graceMinutes: n ?? 0 })}
      />
      <NumberBox
        label="Days until drafts never submitted are erased (empty: kept)"
        value={set.keepDraftsDays ?? undefined}
        disabled={disabled}
        onChange={(n) => onChange({ ...set, keepDraftsDays: n ?? null })}
      />
      <NumberBox
        label="Days for which closed files are kept, at least (empty: for good)"
        value={set.keepFilesDays ?? undefined}
        disabled={disabled}
        onChange={(n) => onChange({ ...set, keepFilesDays: n ?? null })}
      />
      <fieldset className="plan-wide plan-form">
        <legend>Targets, in working days</legend>
        {TARGETS.map(([name, label]) => (
          <NumberBox
            key={name}
            label={label}
            value={set.targets[name]}
            disabled={disabled}
            onChange={(n) => onChange({ ...set, targets: { ...set.targets, [name]: n ?? 0 } })}
          />
        ))}
      </fieldset>
      <fieldset className="plan-wide plan-form">
        <legend>What is asked for, in working days</legend>
        <NumberBox
          label="Reminder before its day (empty: none)"
          value={set.asks.remindBefore ?? undefined}
          disabled={disabled}
          onChange={(n) => onChange({ ...set, asks: { ...set.asks, remindBefore: n ?? null } })}
        />
        <NumberBox
          label="Reminder after its day (empty: none)"
          value={set.asks.remindAfter ?? undefined}
          disabled={disabled}
          onChange={(n) => onChange({ ...set, asks: { ...set.asks, remindAfter: n ?? null } })}
        />
        <NumberBox
          label="How often, after its day"
          value={set.asks.remindTimes}
          disabled={disabled}
          onChange={(n) => onChange({ ...set, asks: { ...set.asks, remindTimes: Math.min(10, Math.max(1, n ?? 1)) } })}
        />
        <NumberBox
          label="With the office again after"
          value={set.asks.returnAfter}
          disabled={disabled}
          onChange={(n) => onChange({ ...set, asks: { ...set.asks, returnAfter: n ?? 0 } })}
        />
      </fieldset>
      <fieldset className="plan-wide plan-form">
        <legend>Referees who have not answered, in days</legend>
        <NumberBox
          label="Reminder after the last word (empty: none)"
          value={set.referees.remindEvery ?? undefined}
          disabled={disabled}
          onChange={(n) => onChange({ ...set, referees: { ...set.referees, remindEvery: n ?? null } })}
        />
        <NumberBox
          label="So many times"
          value={set.referees.remindTimes}
          disabled={disabled}
          onChange={(n) =>
            onChange({ ...set, referees: { ...set.referees, remindTimes: Math.min(10, Math.max(0, n ?? 0)) } })
          }
        />
        <NumberBox
          label="Last reminder before their time is over (empty: none)"
          value={set.referees.remindBefore ?? undefined}
          disabled={disabled}
          onChange={(n) => onChange({ ...set, referees: { ...set.referees, remindBefore: n ?? null } })}
        />
      </fieldset>
      <p className="plan-wide quiet">
        The map is drawn by path data, one shape a line, in a square of 100 by 100 from the upper left corner.
      </p>
      {outlines("land")}
      {outlines("water")}
    </div>
  );
}
