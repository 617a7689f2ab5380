import type { Locale } from "../../core/text/local-text";
import { formatDayInZone } from "../../text/format";
import { isTextKey, sentence } from "../../text/sentence";
import type { MyApplication } from "../../views/application/application-data";
import { ConfirmPress } from "../frame/confirm-press.client";

/** A document that somebody else signs by a link of their own: who that is, what they will read, and the press that writes to them. */
export function SignerBox({
  signer,
  open,
  locale,
  zone,
  ask,
}: {
  signer: NonNullable<MyApplication["documents"][number]["signer"]>;
  open: boolean;
  locale: Locale;
  /** The office's. */
  zone: string;
  ask: () => Promise<string | null>;
}) {
  const { name, email, last } = signer;
  const state = `signer.state.${last?.state ?? ""}`;
  const waits = last?.state === "asked" && last.email === email;
  return (
    <div className="signer">
      {name === "" || email === "" ? (
        <p className="quiet">{sentence(locale, "signer.first")}</p>
      ) : (
        <>
          <p>{sentence(locale, "signer.who", { name, email })}</p>
          <blockquote className="to-sign">{signer.sentence[locale]}</blockquote>
        </>
      )}
      {last && isTextKey(state) ? (
        <p className={last.state === "declined" || last.state === "undeliverable" ? "notice" : "quiet"}>
          {sentence(locale, state, { date: formatDayInZone(locale, last.askedAt, zone), email: last.email })}
        </p>
      ) : null}
      {open && !waits && last?.state !== "signed" && name !== "" && email !== "" ? (
        <p className="presses">
          <ConfirmPress
            action={ask}
            label={sentence(locale, "signer.send")}
            question={sentence(locale, "referee.sendAsk", { name, email })}
            primary
            locale={locale}
          />
        </p>
      ) : null}
    </div>
  );
}
