"use client";

import {
  browserSupportsWebAuthn,
  type PublicKeyCredentialCreationOptionsJSON,
  startRegistration,
  WebAuthnError,
} from "@simplewebauthn/browser";
import { Button, Input } from "antd";
import { type FormEvent, useId, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { formatMoment } from "../../text/format";
import { sentence, type TextKey } from "../../text/sentence";
import { ConfirmPress } from "../frame/confirm-press.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

type Problem = "wrong" | "locked" | "unavailable";

interface OwnPasskey {
  readonly id: string;
  readonly name: string;
  readonly addedAt: string;
}

interface Props {
  readonly locale: Locale;
  readonly zone: string;
  /** Whether passkeys work at the address of this application at all. */
  readonly possible: boolean;
  readonly keys: readonly OwnPasskey[];
  /** What a new one is called unless its owner says otherwise. */
  readonly suggested: string;
  readonly begin: (password: string) => Promise<PublicKeyCredentialCreationOptionsJSON | Problem>;
  readonly keep: (name: string, answer: unknown) => Promise<"kept" | Problem>;
  readonly remove: (id: string) => Promise<Problem | null>;
}

const WHY = { locked: "account.locked", unavailable: "account.unavailable" } as const;

/** The passkeys of an account: those that are there, each with its end, and the form for another one. */
export function Passkeys({ locale, zone, possible, keys, suggested, begin, keep, remove }: Props) {
  const t = (key: TextKey, values?: Readonly<Record<string, string>>) => sentence(locale, key, values);
  const removed = async (id: string) => {
    const problem = await remove(id);
    return problem && t("account.unavailable");
  };
  return (
    <>
      <p className="help">{t(possible ? "account.passkeyHelp" : "account.passkeyNowhere")}</p>
      {keys.length === 0 ? null : (
        <ul className="plain-list">
          {keys.map(({ id, name, addedAt }) => (
            <li key={id}>
              <strong>{name}</strong>{" "}
              <span className="quiet">{t("account.passkeyAdded", { day: formatMoment(locale, addedAt, zone) })}</span>{" "}
              <ConfirmPress
                action={() => removed(id)}
                label={t("account.passkeyRemove")}
                name={t("account.passkeyRemoveNamed", { name })}
                question={t("account.passkeyRemoveQuestion", { name })}
                locale={locale}
              />
            </li>
          ))}
        </ul>
      )}
      {possible ? <NewPasskey t={t} suggested={suggested} begin={begin} keep={keep} /> : null}
    </>
  );
}

/** The form for a new passkey: its name and the password, before the browser asks the device. */
function NewPasskey({
  t,
  suggested,
  begin,
  keep,
}: Pick<Props, "suggested" | "begin" | "keep"> & { t: (key: TextKey) => string }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState(suggested);
  const [password, setPassword] = useState("");
  const [wrong, setWrong] = useState<TextKey | null>(null);
  const [busy, ask] = useAsking();

  const make = async (): Promise<TextKey | null> => {
    if (!browserSupportsWebAuthn()) return "account.passkeyNone";
    if (name.trim() === "") return "account.passkeyUnnamed";
    const optionsJSON = await begin(password);
    if (optionsJSON === "wrong") return "account.factorWrongPassword";
    if (typeof optionsJSON === "string") return WHY[optionsJSON];
    let answer: unknown;
    try {
      answer = await startRegistration({ optionsJSON });
    } catch (error) {
      const isKnown = error instanceof WebAuthnError && error.code === "ERROR_AUTHENTICATOR_PREVIOUSLY_REGISTERED";
      return isKnown ? "account.passkeyKnown" : "account.passkeyStopped";
    }
    const kept = await keep(name, answer);
    if (kept === "wrong") return "account.passkeyRefused";
    if (kept !== "kept") return WHY[kept];
    setOpen(false);
    setPassword("");
    setName(suggested);
    return null;
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    ask(async () => setWrong(await make()));
  };
  if (!open)
    return (
      <p>
        <button type="button" className="plain-button" onClick={() => setOpen(true)}>
          {t("account.passkeyAdd")}
        </button>
      </p>
    );
  return (
    <form className="account-form" onSubmit={submit} noValidate>
      <div className="field">
        <label htmlFor={`${id}-name`}>{t("account.passkeyName")}</label>
        <Input id={`${id}-name`} value={name} maxLength={100} onChange={(e) => setName(e.target.value)} autoFocus />
      </div>
      <div className="field">
        <label htmlFor={`${id}-password`}>{t("account.factorYourPassword")}</label>
        <Input.Password
          id={`${id}-password`}
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          autoComplete="current-password"
        />
        <Wrong text={wrong && t(wrong)} />
      </div>
      <Button type="primary" htmlType="submit" loading={busy}>
        {t("account.passkeyAdd")}
      </Button>
    </form>
  );
}
