"use client";

import { Button } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** Leads to the card service's page. */
export function PayPress({
  action,
  label,
}: {
  action: () => Promise<{ readonly page: string } | { readonly refused: string }>;
  label: string;
}) {
  const [busy, begin] = useAsking();
  const [wrong, setWrong] = useState<string | null>(null);
  const [leaving, setLeaving] = useState(false);
  const run = () =>
    begin(async () => {
      const answer = await action();
      if ("refused" in answer) return setWrong(answer.refused);
      setLeaving(true);
      window.location.assign(answer.page);
    });
  return (
    <>
      <Button type="primary" loading={busy || leaving} onClick={run}>
        {label}
      </Button>
      <Wrong text={wrong} />
    </>
  );
}
