"use client";

import { Button, Input, QRCode } from "antd";
import { type FormEvent, type ReactNode, useId, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { sentence, type TextKey } from "../../text/sentence";
import { CopyPress } from "../frame/copy-press.client";

type Problem = "wrong" | "locked" | "unavailable";

interface NewFactor {
  readonly address: string;
  readonly recoveryCodes: readonly string[];
}

interface Props {
  readonly locale: Locale;
  /** How many recovery codes are left; null where there is no factor yet. */
  readonly codesLeft: number | null;
  /** Nobody of the office works without one. */
  readonly required: boolean;
  /** Where somebody goes on afterwards. */
  readonly to: string;
  readonly begin: (password: string) => Promise<NewFactor | Problem>;
  readonly confirm: (code: string) => Promise<"on" | Problem>;
  readonly renew: (password: string) => Promise<readonly string[] | Problem>;
  readonly remove: (password: string) => Promise<"off" | Problem>;
}

type Step =
  | { readonly at: "password" }
  | { readonly at: "code"; readonly factor: NewFactor }
  | { readonly at: "codes"; readonly codes: readonly string[]; readonly title: TextKey };

const isProblem = (answer: unknown): answer is Problem =>
  answer === "wrong" || answer === "locked" || answer === "unavailable";

/** The secret of an `otpauth` address in groups of four, for whoever types it. */
const keyOf = (address: string): string =>
  (new URL(address).searchParams.get("secret") ?? "").replace(/(.{4})(?=.)/gu, "$1 ");

/** Sets up a second factor, and looks after one that is there: a password, a picture to scan, a first code, and the recovery codes. */
export function SecondFactor({ locale, codesLeft, required, to, begin, confirm, renew, remove }: Props) {
  const t = (key: TextKey, values?: Readonly<Record<string, number>>) => sentence(locale, key, values);
  const [step, setStep] = useState<Step>({ at: "password" });
  const [left, setLeft] = useState(codesLeft);
  const [typed, setTyped] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  /** Asks, and goes on unless something was wrong; what was typed stays then. */
  async function ask<T>(question: () => Promise<T | Problem>, ofWrong: TextKey, next: (answer: T) => void) {
    setBusy(true);
    const answer = await question().catch(() => "unavailable" as const);
    setBusy(false);
    if (isProblem(answer))
      return setWrong(t(answer === "wrong" ? ofWrong : answer === "locked" ? "account.locked" : "account.unavailable"));
    setWrong(null);
    next(answer);
  }
  const onPassword = <T,>(question: (password: string) => Promise<T | Problem>, next: (answer: T) => void) =>
    ask(() => question(typed), "account.factorWrongPassword", next);
  const toCode = (factor: NewFactor) => {
    setTyped("");
    setLeft(null);
    setStep({ at: "code", factor });
  };
  const toCodes = (codes: readonly string[], title: TextKey) => {
    setTyped("");
    setLeft(codes.length);
    setStep({ at: "codes", codes, title });
  };

  if (step.at === "codes") return <Codes t={t} codes={step.codes} title={t(step.title)} to={to} />;
  if (step.at === "code")
    return (
      <Asked
        label={t("account.code")}
        kind="code"
        value={typed}
        change={setTyped}
        wrong={wrong}
        send={() =>
          ask(
            () => confirm(typed),
            "account.wrongCode",
            () => toCodes(step.factor.recoveryCodes, "account.factorIsOn"),
          )
        }
        before={
          <>
            <p>{t("account.factorScan")}</p>
            <QRCode value={step.factor.address} type="svg" size={200} bgColor="#ffffff" />
            <p className="help">
              {t("account.factorKey")} <code className="key-to-type">{keyOf(step.factor.address)}</code>
            </p>
          </>
        }
      >
        <Button type="primary" htmlType="submit" loading={busy}>
          {t("account.factorTurnOn")}
        </Button>
      </Asked>
    );
  return (
    <Asked
      label={t("account.factorYourPassword")}
      kind="password"
      value={typed}
      change={setTyped}
      wrong={wrong}
      send={() =>
        left === null
          ? onPassword(begin, toCode)
          : onPassword(renew, (codes) => toCodes(codes, "account.factorNewCodes"))
      }
      before={
        <p>
          {left === null
            ? t(required ? "account.factorRequired" : "account.factorOff")
            : `${t("account.factorOn")} ${left === 0 ? t("account.factorLast") : t("account.factorLeft", { count: left })}`}
        </p>
      }
    >
      <div className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          {t(left === null ? "account.factorBegin" : "account.factorRenew")}
        </Button>
        {left === null ? null : (
          <>
            <Button disabled={busy} onClick={() => void onPassword(remove, () => void onPassword(begin, toCode))}>
              {t("account.factorMove")}
            </Button>
            {required ? null : (
              <Button disabled={busy} onClick={() => void onPassword(remove, () => window.location.assign(to))}>
                {t("account.factorRemove")}
              </Button>
            )}
          </>
        )}
      </div>
    </Asked>
  );
}

/** One thing that is asked for, with what stands before it and the presses below. */
function Asked({
  label,
  kind,
  value,
  change,
  wrong,
  send,
  before,
  children,
}: {
  label: string;
  kind: "password" | "code";
  value: string;
  change: (value: string) => void;
  wrong: string | null;
  send: () => Promise<void>;
  before: ReactNode;
  children: ReactNode;
}) {
  const id = useId();
  const shared = {
    id,
    value,
    onChange: (e: { target: { value: string } }) => change(e.target.value),
    "aria-invalid": wrong !== null,
    "aria-describedby": wrong === null ? undefined : `${id}-wrong`,
  };
  const submit = (e: FormEvent) => {
    e.preventDefault();
    void send();
  };
  return (
    <form className="account-form" onSubmit={submit} noValidate>
      {before}
      <div className="field">
        <label htmlFor={id}>{label}</label>
        {kind === "password" ? (
          <Input.Password {...shared} autoComplete="current-password" />
        ) : (
          <Input {...shared} autoComplete="one-time-code" inputMode="numeric" />
        )}
        {wrong === null ? null : (
          <p id={`${id}-wrong`} className="wrong" role="alert">
            {wrong}
          </p>
        )}
      </div>
      {children}
    </form>
  );
}

/** Recovery codes, shown once. */
function Codes({
  t,
  codes,
  title,
  to,
}: {
  t: (key: TextKey) => string;
  codes: readonly string[];
  title: string;
  to: string;
}) {
  const text = `${codes.join("\n")}\n`;
  return (
    <section role="status">
      <h2>{title}</h2>
      <p>{t("account.factorCodesHelp")}</p>
      <ul className="recovery-codes">
        {codes.map((code) => (
          <li key={code}>
            <code>{code}</code>
          </li>
        ))}
      </ul>
      <div className="presses">
        <CopyPress text={text} label={t("account.factorCopy")} done={t("account.factorCopied")} />
        <a
          className="plain-button"
          download="unvex-recovery-codes.txt"
          href={`data:text/plain;charset=utf-8,${encodeURIComponent(text)}`}
        >
          {t("account.factorSave")}
        </a>
        <a className="press" href={to}>
          {t("account.factorKept")}
        </a>
      </div>
    </section>
  );
}
