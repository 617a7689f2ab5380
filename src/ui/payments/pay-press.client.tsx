"use client";

import { Button } from "antd";
import { useState } from "react";

/** Leads to the card service's page. */
export function PayPress({
  action,
  label,
}: {
  action: () => Promise<{ readonly page: string } | { readonly refused: string }>;
  label: string;
}) {
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const run = async () => {
    setBusy(true);
    const answer = await action();
    if ("page" in answer) window.location.assign(answer.page);
    else {
      setWrong(answer.refused);
      setBusy(false);
    }
  };
  return (
    <>
      <Button type="primary" loading={busy} onClick={() => void run()}>
        {label}
      </Button>
      {wrong ? (
        <p className="wrong" role="alert">
          {wrong}
        </p>
      ) : null}
    </>
  );
}
