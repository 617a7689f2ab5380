"use client";

import { Button, Select } from "antd";
import { useState } from "react";
import { PAPER_WAYS, type PaperWay } from "../../core/file/facts";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import { DayInput } from "../form/fields/day-input.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** The applicant says that a document comes otherwise than by upload, and when; or that it does not after all. */
export function AnnouncePaper({
  id,
  locale,
  announced,
  say,
  drop,
}: {
  /** What tells the fields of this document from those of others. */
  id: string;
  locale: Locale;
  announced: { readonly way: PaperWay; readonly expectedOn: string } | null;
  say: (way: PaperWay, expectedOn: string) => Promise<string | null>;
  drop: () => Promise<string | null>;
}) {
  const [way, setWay] = useState<PaperWay>("post");
  const [day, setDay] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const wayWords = (w: PaperWay) => sentence(locale, `paper.way.${w}`);
  if (announced)
    return (
      <div className="paper-way">
        <p>
          {sentence(locale, "paper.said", {
            way: wayWords(announced.way),
            date: formatDate(locale, announced.expectedOn),
          })}{" "}
          <button
            type="button"
            className="bare"
            disabled={busy}
            onClick={() => begin(async () => setWrong(await drop()))}
          >
            {sentence(locale, "paper.not")}
          </button>
        </p>
        <Wrong text={wrong} />
      </div>
    );
  return (
    <details className="paper-way">
      <summary>{sentence(locale, "paper.comes")}</summary>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (day !== "") begin(async () => setWrong(await say(way, day)));
        }}
      >
        <div className="field">
          <label htmlFor={`way-${id}`}>{sentence(locale, "paper.way")}</label>
          <Select
            id={`way-${id}`}
            value={way}
            onChange={setWay}
            options={PAPER_WAYS.map((w) => ({ value: w, label: wayWords(w) }))}
            style={{ width: "100%" }}
          />
        </div>
        <div className="field">
          <label htmlFor={`day-${id}`}>{sentence(locale, "paper.when")}</label>
          <DayInput id={`day-${id}`} value={day} precision="day" locale={locale} onTake={setDay} />
        </div>
        <Button htmlType="submit" loading={busy} disabled={day === ""}>
          {sentence(locale, "paper.say")}
        </Button>
        <Wrong text={wrong} />
      </form>
    </details>
  );
}
