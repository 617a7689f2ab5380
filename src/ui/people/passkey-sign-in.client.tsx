"use client";

import {
  browserSupportsWebAuthn,
  type PublicKeyCredentialRequestOptionsJSON,
  startAuthentication,
} from "@simplewebauthn/browser";
import { Button } from "antd";
import { useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence, type TextKey } from "../../text/sentence";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

/** Signs in with a passkey: the browser asks the device, and the device its owner. */
export function PasskeySignIn({
  locale,
  to,
  challenge,
  signIn,
}: {
  locale: Locale;
  to: string;
  challenge: () => Promise<PublicKeyCredentialRequestOptionsJSON | null>;
  signIn: (answer: unknown, to: string) => Promise<"wrong" | "unavailable">;
}) {
  const [wrong, setWrong] = useState<TextKey | null>(null);
  const [busy, begin] = useAsking();
  const enter = async (): Promise<TextKey> => {
    if (!browserSupportsWebAuthn()) return "account.passkeyNone";
    const optionsJSON = await challenge();
    if (!optionsJSON) return "account.unavailable";
    const answer = await startAuthentication({ optionsJSON }).catch(() => null);
    if (!answer) return "account.passkeyNotSigned";
    return (await signIn(answer, to)) === "wrong" ? "account.passkeyUnknown" : "account.unavailable";
  };
  return (
    <div>
      <Button loading={busy} onClick={() => begin(async () => setWrong(await enter()))}>
        {sentence(locale, "account.passkeySignIn")}
      </Button>
      <Wrong text={wrong && sentence(locale, wrong)} />
    </div>
  );
}
