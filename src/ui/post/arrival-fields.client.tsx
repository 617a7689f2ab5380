"use client";

import { Button, Input, Select } from "antd";
import { type ReactNode, useRef } from "react";
import { PAPER_STATES, type PaperState } from "../../core/post/inputs";
import { STATE_WORDS } from "../../text/words/papers";
import { DayInput } from "../form/fields/day-input.client";

/** What is noted of a paper that came. */
export interface Arrival {
  readonly contents: string;
  readonly sender: string;
  readonly state: PaperState;
  readonly cameOn: string;
}

/** What came, in which state, when, and from whom. */
export function ArrivalFields({
  arrival,
  titled,
  change,
  children,
}: {
  arrival: Arrival;
  /** What it is, is said already. */
  titled: boolean;
  change: (arrival: Arrival) => void;
  children: ReactNode;
}) {
  return (
    <>
      <div className="field wide">
        <label htmlFor="paper-contents">{titled ? "What is in it, if that says more" : "What came"}</label>
        <Input
          id="paper-contents"
          maxLength={300}
          value={arrival.contents}
          onChange={(e) => change({ ...arrival, contents: e.target.value })}
        />
      </div>
      <div className="field">
        <label htmlFor="paper-state">In which state</label>
        <Select
          id="paper-state"
          value={arrival.state}
          onChange={(state) => change({ ...arrival, state })}
          options={PAPER_STATES.map((s) => ({ value: s, label: STATE_WORDS[s] }))}
          style={{ width: "100%" }}
        />
      </div>
      <div className="field">
        <label htmlFor="paper-day">Came on</label>
        <DayInput
          id="paper-day"
          value={arrival.cameOn}
          precision="day"
          locale="en"
          onTake={(cameOn) => change({ ...arrival, cameOn })}
        />
      </div>
      {children}
      <div className="field wide">
        <label htmlFor="paper-sender">From whom, if not from the applicant</label>
        <Input
          id="paper-sender"
          maxLength={200}
          value={arrival.sender}
          onChange={(e) => change({ ...arrival, sender: e.target.value })}
        />
      </div>
    </>
  );
}

/** The scan of a paper, which stands beside it as a document. */
export function ScanField({ scan, take }: { scan: File | null; take: (scan: File | null) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="field wide">
      <input
        ref={input}
        id="paper-scan"
        type="file"
        className="hidden-text"
        tabIndex={-1}
        accept=".pdf,.jpg,.jpeg,.png"
        aria-label="Its scan"
        onChange={(e) => take(e.target.files?.[0] ?? null)}
      />
      <Button onClick={() => input.current?.click()}>{scan ? "Another scan" : "Put its scan beside it"}</Button>{" "}
      {scan ? (
        <span>
          {scan.name}{" "}
          <button
            type="button"
            className="bare"
            onClick={() => {
              take(null);
              if (input.current) input.current.value = "";
            }}
          >
            Take it out
          </button>
        </span>
      ) : (
        <span className="quiet">if there is one</span>
      )}
    </div>
  );
}
