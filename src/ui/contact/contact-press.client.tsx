"use client";

import { Button } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** One press by which an applicant says that an address or a number is right. */
export function ContactPress({ label, confirm }: { label: string; confirm: () => Promise<string | null> }) {
  const [busy, start] = useAsking();
  const [wrong, setWrong] = useState<string | null>(null);
  return (
    <>
      <Button
        loading={busy}
        onClick={() =>
          start(async () => {
            setWrong(await confirm());
          })
        }
      >
        {label}
      </Button>
      <Wrong text={wrong} />
    </>
  );
}
