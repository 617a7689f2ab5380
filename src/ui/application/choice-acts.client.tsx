"use client";

import { useState } from "react";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatZone } from "../../text/format";
import type { ChoiceOffer } from "../../views/application/choice-offer";
import type { Elsewhere } from "../../views/assessment/elsewhere";
import { WithReason } from "../assessment/with-reason.client";
import { wallTime } from "../catalogue/drafts";
import { MomentField, PickField } from "../catalogue/fields.client";

/** What the office may do with the choices of a file. */
export interface ChoiceActs {
  readonly act: ActOnFile;
  /** @param local a wall time of the office; @returns null when it was done, else the sentence that says why not */
  readonly extend: (choice: string, local: string, reason: string) => Promise<string | null>;
  readonly look: (choice: string) => Promise<Elsewhere | null>;
}

/** Gives one person more time for one choice. */
export function ExtendForm({
  choice,
  name,
  zone,
  closesAt,
  extend,
}: {
  choice: string;
  name: string;
  zone: string;
  closesAt: string;
  extend: ChoiceActs["extend"];
}) {
  const [until, setUntil] = useState(wallTime(closesAt, zone));
  return (
    <WithReason
      open="Give more time"
      does="Give the time"
      label="Why"
      consequence={`For ${name} alone this choice closes later. A mail says until when, and why.`}
      ready={until !== ""}
      act={(reason) => extend(choice, until, reason)}
    >
      <MomentField label={`Closes (${formatZone(zone)})`} time value={until} onChange={setUntil} />
    </WithReason>
  );
}

const OFFERED = [
  ["track", "tracks", "Track"],
  ["campus", "campuses", "Campus"],
  ["language", "languages", "Language of teaching"],
  ["mode", "modes", "Mode"],
] as const;

/** Puts a submitted choice on another track, campus, language or mode that its start offers; nothing where there is no other. */
export function PlaceForm({
  choice,
  name,
  offered,
  act,
}: {
  choice: string;
  name: string;
  offered: ChoiceOffer;
  act: ActOnFile;
}) {
  const [now, setNow] = useState(offered.now);
  const open = OFFERED.filter(([, list]) => offered[list].length > 1);
  if (open.length === 0) return null;
  const words = open.map(([, , label]) => label.toLowerCase());
  return (
    <WithReason
      open={`Change ${words.join(" or ")}`}
      does="Change it"
      label="Why it changes"
      consequence={`The choice is judged as what it is then: what that asks for is missing until it comes, and its rules count. A mail tells ${name}, and why.`}
      ready={OFFERED.some(([option]) => now[option] !== offered.now[option])}
      act={(reason) => act("move-choice", { choiceId: choice, ...now, reason })}
    >
      {open.map(([option, list, label]) => (
        <PickField
          key={option}
          label={label}
          value={now[option]}
          options={offered[list].map((o) => ({ value: o.key, label: o.title }))}
          onChange={(value) => setNow((all) => ({ ...all, [option]: value }))}
        />
      ))}
    </WithReason>
  );
}

/** Moves a submitted choice to the version of the rulebook that is published now. */
export function MoveForm({
  choice,
  name,
  version,
  act,
}: {
  choice: string;
  name: string;
  version: number;
  act: ActOnFile;
}) {
  return (
    <WithReason
      open={`Move to version ${version}`}
      does={`Move it to version ${version}`}
      label="Why it moves"
      consequence={`The choice is judged by version ${version} from now on: requirements, findings and fees follow at once. A mail tells ${name} what changes, and why.`}
      act={(reason) => act("move-to-rulebook", { choiceId: choice, reason })}
    />
  );
}
