"use client";

import { Button, Input } from "antd";
import { useId, useState } from "react";
import { checkValue } from "../../core/answers/check-value";
import type { Json } from "../../core/file/facts";
import type { Field } from "../../core/rulebook/section";
import { registerOptions } from "../../core/standards/register-options";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { Wrong } from "../frame/wrong";
import { FieldInput } from "./fields/field-input.client";
import { issueText } from "./issue-text";

/** One value to confirm: as it was claimed, or as what it is given here. */
export interface Confirming {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly value?: Json;
}
export type Confirm = (values: readonly Confirming[], note: string | null) => Promise<string | null>;

/** What only the applicant can say: agreements, statements, and links that are looked at where they lead. */
const THEIR_OWN: ReadonlySet<Field["kind"]> = new Set(["agree", "statement", "links"]);
export const isCorrectable = ({ kind, keptBy }: Pick<ClaimedValue, "kind" | "keptBy">): boolean =>
  !THEIR_OWN.has(kind) && keptBy === null;

/** Kinds that stand in a cell of a table as a line of text or a pick. */
export const FITS_A_CELL: ReadonlySet<Field["kind"]> = new Set([
  "text",
  "name",
  "decimal",
  "whole",
  "date",
  "institution",
  "choice",
  "entry",
  "scale",
  "area",
  "test",
  "paper",
  "graduateOf",
]);

export function optionsFor(value: ClaimedValue, data: FileData) {
  const own = value.kind === "choice" || value.kind === "entry" ? (value.options ?? []) : null;
  const offered = registerOptions(value.kind, data.office) ?? own;
  return offered?.map((o) => ({ value: o.value, label: o.title.en })) ?? null;
}

export const placeOf = ({ scope, section, entry, field }: ClaimedValue) => ({ scope, section, entry, field });

/** The field as it is asked here: whatever the form makes of it, a month may be all that a document shows. */
const asked = ({ field, kind, title, options, currency }: ClaimedValue): Field => ({
  key: field,
  kind,
  title,
  options,
  ...(currency ? { currency } : {}),
  ...(kind === "date" ? { rough: true } : {}),
  required: true,
  seenBy: "assessment",
});

/** The test whose scores these are, as the same entry names it. */
function testBeside({ scope, section, entry }: ClaimedValue, { values }: FileData): string | null {
  const test = values.find(
    (v) => v.scope === scope && v.section === section && v.entry === entry && v.field === "test",
  );
  const named = test?.confirmed ?? test?.claim;
  return typeof named === "string" ? named : null;
}

/** Changes a value to what the document says, or what was found out, with the reason; the claim stays beside it. */
export function CorrectValue({
  value,
  data,
  onConfirm,
  onDone,
}: {
  value: ClaimedValue;
  data: FileData;
  onConfirm: Confirm;
  onDone: () => void;
}) {
  const id = useId();
  const [now, setNow] = useState<Json>(value.confirmed ?? value.claim);
  const [note, setNote] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const field = asked(value);
  const test = testBeside(value, data);
  const send = async () => {
    if (now === null || now === "") return setWrong("Say what it is. What stands there cannot be emptied here.");
    const issue = checkValue(field, data.office, now, test ?? undefined);
    if (issue) return setWrong(issueText("en", issue));
    if (note.trim() === "") return setWrong("Say why: where it stands, or who told you.");
    const refused = await onConfirm(
      [{ ...placeOf(value), value: typeof now === "string" ? now.trim() : now }],
      note.trim(),
    );
    if (refused) setWrong(refused);
    else onDone();
  };
  return (
    <div className="correct-value">
      <label id={`${id}-label`} htmlFor={id}>
        {value.title.en}: what it is
      </label>
      <FieldInput
        id={id}
        field={field}
        locale="en"
        office={data.office}
        named={{}}
        taken={new Set()}
        value={now}
        test={test}
        disabled={false}
        invalid={false}
        describedBy={undefined}
        onChange={setNow}
        onLeave={setNow}
      />
      <Input
        aria-label="Reason"
        placeholder="Reason: where it stands, or who told you"
        value={note}
        maxLength={1000}
        onChange={(e) => setNote(e.target.value)}
      />
      <Wrong text={wrong} />
      <div className="presses">
        <Button size="small" type="primary" onClick={() => void send()}>
          Correct
        </Button>
        <Button size="small" onClick={onDone}>
          Not now
        </Button>
      </div>
    </div>
  );
}
