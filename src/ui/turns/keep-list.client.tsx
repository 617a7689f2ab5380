"use client";

import { Button, Checkbox, Input } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

export type KeepList = (name: string, query: string, shared: boolean) => Promise<string | null>;

/** Gives the list that is shown a name. */
export function KeepListForm({
  query,
  mayShare,
  keep,
  onDone,
}: {
  query: string;
  mayShare: boolean;
  keep: KeepList;
  onDone: (name: string | null) => void;
}) {
  const [name, setName] = useState("");
  const [shared, setShared] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  return (
    <form
      className="keep-list"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim() === "") return setWrong("Give the list a name.");
        begin(async () => {
          const refused = await keep(name.trim(), query, shared);
          setWrong(refused);
          if (refused === null) onDone(name.trim());
        });
      }}
    >
      <label htmlFor="list-name">Name of this list</label>
      <Input
        id="list-name"
        value={name}
        autoFocus
        maxLength={60}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => (e.key === "Escape" ? onDone(null) : undefined)}
      />
      {mayShare ? (
        <Checkbox checked={shared} onChange={(e) => setShared(e.target.checked)}>
          for all officers
        </Checkbox>
      ) : null}
      <Button type="primary" htmlType="submit" loading={busy}>
        Keep it
      </Button>
      <Button onClick={() => onDone(null)}>Not now</Button>
      <Wrong text={wrong} />
    </form>
  );
}
