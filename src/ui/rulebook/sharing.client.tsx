"use client";

import { Button, Select } from "antd";
import Link from "next/link";
import { useState } from "react";
import {
  type AreaKey,
  leaveOut,
  leftOutOf,
  ownPart,
  type SharedPart,
  takePart,
  withoutPart,
} from "../../core/rulebook/parts";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { useAsking } from "../frame/unanswered.client";
import type { Selected } from "./outline.client";

const NEW = "";

/** Whether the chosen element is a copy of a shared part, and the ways from the one to the other. */
export function Sharing({
  body,
  selected,
  parts,
  writable,
  set,
  share,
}: {
  body: RulebookBody;
  selected: Selected;
  parts: readonly SharedPart[];
  writable: boolean;
  set: (next: RulebookBody) => void;
  share: (area: AreaKey, key: string, into: string | null) => Promise<string | null>;
}) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const { area, index } = selected;
  const element = body[area][index];
  if (!element) return null;
  if (element.part) {
    const part = parts.find((p) => p.key === element.part);
    const { part: key } = element;
    const leftOut = part ? leftOutOf(body, part) : [];
    return (
      <p className="sharing">
        A copy of the shared part{" "}
        {part ? <Link href={`/office/rulebooks/parts/${part.key}`}>{part.title.en}</Link> : key}
        {part ? ": it is changed there, for every draft that holds it." : ", which is no longer there."}{" "}
        {writable ? (
          <>
            <Button size="small" onClick={() => set(ownPart(body, key))}>
              Make the whole part our own
            </Button>{" "}
            <Button size="small" onClick={() => set(leaveOut(body, area, element.key))}>
              Leave this piece out
            </Button>{" "}
            <Button size="small" onClick={() => set(withoutPart(body, key))}>
              Take the whole part out
            </Button>
          </>
        ) : null}
        {part && writable && leftOut.length > 0 ? (
          <span className="quiet">
            {" "}
            Left out of it: {leftOut.join(", ")}.{" "}
            <Button size="small" onClick={() => set(takePart(body, part))}>
              Take it back in
            </Button>
          </span>
        ) : null}
      </p>
    );
  }
  if (!writable || selected.field !== undefined) return null;
  return (
    <div className="sharing">
      <Select<string>
        size="small"
        aria-label="Share it with other rulebooks"
        placeholder="Share it with other rulebooks"
        value={null}
        loading={busy}
        popupMatchSelectWidth={false}
        options={[
          { value: NEW, label: "as a shared part of its own" },
          ...parts.map((p) => ({ value: p.key, label: `as a piece of ${p.title.en}` })),
        ]}
        onChange={(into) => begin(async () => setWrong(await share(area, element.key, into === NEW ? null : into)))}
      />{" "}
      {wrong ? (
        <span role="alert" className="wrong">
          {wrong}
        </span>
      ) : null}
    </div>
  );
}
