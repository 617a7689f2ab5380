"use client";

import { Button, Checkbox, Input } from "antd";
import { useId, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

interface Part {
  readonly scope: string;
  readonly section: string;
}

/** Asks the office to open parts of a submitted form again. What was typed stays when it is refused. */
export function CorrectionForm({
  parts,
  locale,
  ask,
}: {
  parts: readonly (Part & { readonly title: string })[];
  locale: Locale;
  ask: (sections: Part[], text: string) => Promise<string | null>;
}) {
  const id = useId();
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const [text, setText] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const send = () =>
    begin(async () => {
      const sections = chosen.flatMap((i) => {
        const part = parts[i];
        return part ? [{ scope: part.scope, section: part.section }] : [];
      });
      setWrong(await ask(sections, text));
    });
  return (
    <div className="account-form">
      <p className="measure">{sentence(locale, "correction.intro")}</p>
      <fieldset className="field">
        <legend>{sentence(locale, "correction.parts")}</legend>
        {parts.map((part, i) => (
          <Checkbox
            key={`${part.scope}-${part.section}`}
            checked={chosen.includes(i)}
            onChange={(e) => setChosen(e.target.checked ? [...chosen, i] : chosen.filter((c) => c !== i))}
          >
            {part.title}
          </Checkbox>
        ))}
      </fieldset>
      <div className="field">
        <label htmlFor={id}>{sentence(locale, "correction.text")}</label>
        <Input.TextArea
          id={id}
          autoSize={{ minRows: 2 }}
          maxLength={2000}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </div>
      <Button type="primary" loading={busy} disabled={chosen.length === 0 || text.trim() === ""} onClick={send}>
        {sentence(locale, "correction.send")}
      </Button>
      <Wrong text={wrong} />
    </div>
  );
}
