"use client";

import { Button } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";

/** Whether a result under another name is the applicant's. @param refused somebody said already that it is not */
export function SettleResult({
  settle,
  refused = false,
}: {
  settle: (theirs: boolean) => Promise<string | null>;
  refused?: boolean;
}) {
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const say = (theirs: boolean) =>
    begin(async () => {
      setWrong(await settle(theirs));
    });
  return (
    <span className="presses">
      <Button size="small" loading={busy} onClick={() => say(true)}>
        {refused ? "It is theirs after all" : "It is theirs"}
      </Button>
      {refused ? null : (
        <Button size="small" disabled={busy} onClick={() => say(false)}>
          Somebody else’s
        </Button>
      )}
      {wrong ? (
        <span role="alert" className="wrong">
          {wrong}
        </span>
      ) : null}
    </span>
  );
}
