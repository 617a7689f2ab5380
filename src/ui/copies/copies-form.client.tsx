"use client";

import { Button, Checkbox, Radio } from "antd";
import { useState } from "react";
import type { Reader } from "../../core/form/readers";
import { useAsking } from "../frame/unanswered.client";

const READER_CHOICES: readonly { readonly value: Reader; readonly label: string }[] = [
  { value: "office", label: "the office: all that it sees" },
  { value: "assessors", label: "those who assess: nothing that is kept from assessment" },
  { value: "finance", label: "finance: with what is asked for money alone" },
];

/** For whom copies of several applications are, and with what: the job is begun from here. */
export function CopiesForm({
  count,
  forFinance,
  order,
  onCancel,
}: {
  count: number;
  /** Whether whoever orders them keeps the books, too. */
  forFinance: boolean;
  order: (reader: Reader, documents: boolean) => Promise<void>;
  onCancel: () => void;
}) {
  const [reader, setReader] = useState<Reader>("office");
  const [documents, setDocuments] = useState(true);
  const [busy, begin] = useAsking();
  return (
    <form
      className="copies-form"
      onSubmit={(e) => {
        e.preventDefault();
        begin(() => order(reader, documents));
      }}
    >
      <fieldset>
        <legend>Copies of {count === 1 ? "one application" : `${count} applications`}, for</legend>
        <Radio.Group
          value={reader}
          onChange={(e) => setReader(e.target.value as Reader)}
          options={READER_CHOICES.filter((o) => o.value !== "finance" || forFinance).map((o) => ({ ...o }))}
          className="stacked"
        />
      </fieldset>
      <Checkbox checked={documents} onChange={(e) => setDocuments(e.target.checked)}>
        with the documents, page by page
      </Checkbox>
      <p className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          Make them
        </Button>{" "}
        <Button onClick={onCancel}>Not now</Button>
      </p>
    </form>
  );
}
