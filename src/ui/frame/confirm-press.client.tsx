"use client";

import { Button } from "antd";
import { useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { useDialogs } from "./library.client";
import { useAsking } from "./unanswered.client";

const CANCEL: Readonly<Record<Locale, string>> = { en: "Not now", fr: "Pas maintenant" };

/** A button for what cannot be taken back: it says exactly what will happen before it does it. */
export function ConfirmPress({
  action,
  label,
  name,
  question,
  primary = false,
  locale,
}: {
  action: () => Promise<string | null>;
  label: string;
  /** What it is called where several say the same. */
  name?: string;
  question: string;
  primary?: boolean;
  locale: Locale;
}) {
  const dialogs = useDialogs();
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const run = () => begin(async () => setWrong(await action()));
  return (
    <span>
      <Button
        type={primary ? "primary" : "default"}
        loading={busy}
        aria-label={name}
        onClick={() =>
          void dialogs.confirm({
            title: label,
            content: question,
            icon: null,
            okText: label,
            cancelText: CANCEL[locale],
            onOk: run,
          })
        }
      >
        {label}
      </Button>
      {wrong ? (
        <span className="wrong" role="alert">
          {" "}
          {wrong}
        </span>
      ) : null}
    </span>
  );
}
