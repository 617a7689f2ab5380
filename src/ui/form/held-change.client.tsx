"use client";

import { Button } from "antd";
import type { Json } from "../../core/file/facts";
import { type AnswerPlace, answerKey } from "../../core/file/place";
import type { Field } from "../../core/rulebook/section";
import { sentence } from "../../text/sentence";
import { NOTHING_SAID, valueText } from "../../text/words/value-text";
import { CopyPress } from "../frame/copy-press.client";
import type { FieldContext } from "./field-context";
import type { HeldChange } from "./unsent";

/** What a value is called in a sentence about it. */
function inWords(
  { locale, office }: Pick<FieldContext, "locale" | "office">,
  field: Pick<Field, "kind">,
  value: Json,
): string {
  const text = valueText(locale, field, value, office);
  return text === NOTHING_SAID ? sentence(locale, "form.nothing") : text;
}

type Deciding = Pick<FieldContext, "locale" | "office" | "values" | "set" | "resolve" | "letGo">;

/** Two values of one field, neither of which was thrown away. */
function Conflict({
  context,
  field,
  held,
}: {
  context: Deciding;
  field: Field;
  held: Extract<HeldChange, { why: "conflict" }>;
}) {
  const { locale } = context;
  const mine = context.values[answerKey(held)] ?? null;
  return (
    <div className="conflict" role="alert">
      <p>
        {sentence(locale, "save.conflict", {
          theirs: inWords(context, field, held.theirs),
          yours: inWords(context, field, mine),
        })}
      </p>
      <Button size="small" onClick={() => context.resolve(held, mine, true)}>
        {sentence(locale, "save.keepMine")}
      </Button>{" "}
      <Button
        size="small"
        onClick={() => {
          context.set(held, held.theirs);
          context.resolve(held, held.theirs, false);
        }}
      >
        {sentence(locale, "save.takeTheirs")}
      </Button>
    </div>
  );
}

/** What was typed and is not taken: why, and the words themselves, to be copied elsewhere or let go. */
function Refused({
  context,
  field,
  held,
}: {
  context: Deciding;
  field: Pick<Field, "kind">;
  held: Exclude<HeldChange, { why: "conflict" }>;
}) {
  const { locale } = context;
  const text = inWords(context, field, held.value);
  return (
    <div className="conflict" role="alert">
      <p>{sentence(locale, `save.held.${held.why}`)}</p>
      <p className="held-value">{text}</p>
      <CopyPress text={text} label={sentence(locale, "save.copy")} done={sentence(locale, "save.copied")} small />{" "}
      <Button size="small" onClick={() => context.letGo(held)}>
        {sentence(locale, "save.letGo")}
      </Button>
    </div>
  );
}

/** Beside a field: what was typed there and is not saved. */
export function HeldNote({ context, place, field }: { context: FieldContext; place: AnswerPlace; field: Field }) {
  const { held } = context.stateOf(answerKey(place));
  if (!held) return null;
  return held.why === "conflict" ? (
    <Conflict context={context} field={field} held={held} />
  ) : (
    <Refused context={context} field={field} held={held} />
  );
}

const TEXT = { kind: "text" } as const;

/** What is not saved and has no field on this page: the form no longer asks for it, or it stands in another part. */
export function HeldElsewhere({ context, held }: { context: Deciding; held: readonly HeldChange[] }) {
  if (held.length === 0) return null;
  return (
    <section className="held-elsewhere" aria-label={sentence(context.locale, "save.heldTitle")}>
      <h2>{sentence(context.locale, "save.heldTitle")}</h2>
      {held.map((one) =>
        one.why === "conflict" ? (
          <p key={answerKey(one)}>
            {sentence(context.locale, "save.heldElsewhere", { value: inWords(context, TEXT, one.value) })}
          </p>
        ) : (
          <Refused key={answerKey(one)} context={context} field={TEXT} held={one} />
        ),
      )}
    </section>
  );
}
