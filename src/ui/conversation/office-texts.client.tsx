"use client";

import { Button, Checkbox, Input } from "antd";
import { useState } from "react";
import { MOST_SIGNS, type WrittenText } from "../../core/conversation/inputs";
import { MERGE_FIELDS, unknownFields } from "../../core/conversation/merge";
import { TEXT_USES, type TextUse } from "../../core/conversation/text-uses";
import { formatList } from "../../text/format";
import type { OfficeText } from "../../views/conversation/conversation";
import { ConfirmPress } from "../frame/confirm-press.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

const EMPTY: WrittenText = { textId: null, version: null, name: "", en: "", fr: "", uses: ["message"] };

const USE_WORDS: Readonly<Record<TextUse, string>> = {
  message: "in the conversation",
  ask: "where something is asked for",
  return: "where a document goes back",
};

const Box = ({
  id,
  label,
  value,
  change,
}: {
  id: string;
  label: string;
  value: string;
  change: (text: string) => void;
}) => (
  <div className="field">
    <label htmlFor={id}>{label}</label>
    <Input.TextArea
      id={id}
      autoSize={{ minRows: 5 }}
      maxLength={MOST_SIGNS}
      value={value}
      onChange={(e) => change(e.target.value)}
    />
  </div>
);

function Editor({
  first,
  save,
  onDone,
}: {
  first: WrittenText;
  save: (text: WrittenText) => Promise<string | null>;
  onDone: () => void;
}) {
  const [text, setText] = useState(first);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const unknown = [...new Set([...unknownFields(text.en), ...unknownFields(text.fr)])];
  return (
    <form
      className="text-editor"
      onSubmit={(e) => {
        e.preventDefault();
        begin(async () => {
          const refused = await save(text);
          setWrong(refused);
          if (refused === null) onDone();
        });
      }}
    >
      <div className="field">
        <label htmlFor="text-name">Name of the text, for us</label>
        <Input
          id="text-name"
          autoFocus
          maxLength={80}
          value={text.name}
          onChange={(e) => setText({ ...text, name: e.target.value })}
        />
      </div>
      <div className="two-texts">
        <Box id="text-en" label="English" value={text.en} change={(en) => setText({ ...text, en })} />
        <Box id="text-fr" label="French" value={text.fr} change={(fr) => setText({ ...text, fr })} />
      </div>
      <fieldset className="text-uses">
        <legend>Offered</legend>
        {TEXT_USES.map((use) => (
          <Checkbox
            key={use}
            checked={text.uses.includes(use)}
            onChange={(e) =>
              setText({
                ...text,
                uses: TEXT_USES.filter((u) => (u === use ? e.target.checked : text.uses.includes(u))),
              })
            }
          >
            {USE_WORDS[use]}
          </Checkbox>
        ))}
      </fieldset>
      <p className="quiet">
        Fields that a file fills in: {MERGE_FIELDS.map((field) => `{${field}}`).join(", ")}. One that a file has no
        value for stays in its braces, and nothing is sent before a person has seen to it.
      </p>
      {unknown.length > 0 ? (
        <p className="wrong">There is no field {unknown.map((field) => `{${field}}`).join(", ")}.</p>
      ) : null}
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          Save it
        </Button>
        <Button onClick={onDone}>Not now</Button>
      </div>
      <Wrong text={wrong} />
    </form>
  );
}

/** The texts of the office; lead officers write them. */
export function OfficeTexts({
  texts,
  writes,
  save,
  drop,
}: {
  texts: readonly OfficeText[];
  writes: boolean;
  save: (text: WrittenText) => Promise<string | null>;
  drop: (textId: string) => Promise<string | null>;
}) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <>
      {texts.length === 0 && open === null ? (
        <p className="empty">
          There are no texts yet. {writes ? "Write the first one." : "A lead officer writes them."}
        </p>
      ) : null}
      <ul className="office-texts">
        {texts.map((t) =>
          open === t.id ? (
            <li key={t.id}>
              <Editor
                first={{ textId: t.id, version: t.version, name: t.name, en: t.en, fr: t.fr, uses: [...t.uses] }}
                save={save}
                onDone={() => setOpen(null)}
              />
            </li>
          ) : (
            <li key={t.id}>
              <h2>{t.name}</h2>
              <div className="two-texts">
                <p className="letter">{t.en}</p>
                <p className="letter" lang="fr">
                  {t.fr}
                </p>
              </div>
              <p className="quiet">
                Offered{" "}
                {formatList(
                  "en",
                  t.uses.map((use) => USE_WORDS[use]),
                )}
                . {t.by}, version {t.version}{" "}
                {writes ? (
                  <>
                    <Button size="small" onClick={() => setOpen(t.id)}>
                      Change it
                    </Button>{" "}
                    <ConfirmPress
                      label="Take it away"
                      name={`Take ${t.name} away`}
                      question={`“${t.name}” is offered no more. What was written with it stays as it was sent.`}
                      action={() => drop(t.id)}
                      locale="en"
                    />
                  </>
                ) : null}
              </p>
            </li>
          ),
        )}
      </ul>
      {writes ? (
        open === "new" ? (
          <Editor first={EMPTY} save={save} onDone={() => setOpen(null)} />
        ) : (
          <Button onClick={() => setOpen("new")}>Write a new text</Button>
        )
      ) : null}
    </>
  );
}
