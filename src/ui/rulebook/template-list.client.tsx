"use client";

import { Button } from "antd";
import { useState } from "react";
import type { Template } from "../../core/rulebook/requirement";
import { Wrong } from "../frame/wrong";
import { goingText, useGoing } from "../sending/going-line.client";
import { refusedText, sendFile } from "../sending/send-form";

/** The forms that applicants download for a document, such as one for a school to fill in. */
export function TemplateList({
  disabled,
  value,
  onChange,
}: {
  disabled: boolean;
  value: readonly Template[];
  onChange: (next: readonly Template[]) => void;
}) {
  const { going, onProgress, end } = useGoing();
  const [wrong, setWrong] = useState<string | null>(null);
  const add = async (file: File) => {
    setWrong(null);
    onProgress(0, false);
    try {
      const { status, body } = await sendFile("/api/templates", {}, file, onProgress);
      if (status === 200)
        onChange([...value, body as Template]); // the route answers with what it has kept
      else setWrong(refusedText("en", body));
    } catch {
      setWrong("There is no connection. Choose the file again: it goes on where it stopped.");
    }
    end();
  };
  return (
    <fieldset className="plan-wide">
      <legend>Forms to download and have filled in</legend>
      {value.length === 0 && disabled ? <span className="quiet">none</span> : null}
      <ul className="plain-list">
        {value.map((template) => (
          <li key={template.sha256}>
            <a href={`/api/templates/${template.sha256}`} download>
              {template.name}
            </a>{" "}
            {disabled ? null : (
              <Button
                size="small"
                type="text"
                aria-label={`Take ${template.name} out`}
                onClick={() => onChange(value.filter((t) => t !== template))}
              >
                ×
              </Button>
            )}
          </li>
        ))}
      </ul>
      {disabled ? null : (
        <label className="file-press">
          {goingText(going) ?? "Add a form (PDF)"}
          <input
            type="file"
            accept="application/pdf,.pdf"
            disabled={going !== null}
            onChange={(e) => {
              const [file] = e.target.files ?? [];
              e.target.value = "";
              if (file) void add(file);
            }}
          />
        </label>
      )}
      <Wrong text={wrong} />
    </fieldset>
  );
}
