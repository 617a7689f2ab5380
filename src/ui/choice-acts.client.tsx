"use client";

import { useState } from "react";
import { formatZone } from "../text/format";
import { wallTime } from "./plans/drafts";
import { MomentField } from "./plans/fields.client";
import { WithReason } from "./with-reason.client";

/** What the office may do with one choice; null when it was done, else the sentence that says why not. */
export interface ChoiceActs {
  readonly extend: (choice: string, local: string, reason: string) => Promise<string | null>;
  readonly move: (choice: string, reason: string) => Promise<string | null>;
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

/** Moves a submitted choice to the version of the rulebook that is published now. */
export function MoveForm({
  name,
  version,
  move,
}: {
  name: string;
  version: number;
  move: (reason: string) => Promise<string | null>;
}) {
  return (
    <WithReason
      open={`Move to version ${version}`}
      does={`Move it to version ${version}`}
      label="Why it moves"
      consequence={`The choice is judged by version ${version} from now on: requirements, findings and fees follow at once. A mail tells ${name} what changes, and why.`}
      act={move}
    />
  );
}
