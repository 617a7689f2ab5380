import type { Locale } from "../../core/text/local-text";
import { formatDayOf } from "../../text/format";
import { sentence } from "../../text/sentence";
import { erasureWords } from "../../text/words/erasure";
import type { OwnErasure } from "../../views/people/erasures";
import { ConfirmPress } from "../frame/confirm-press.client";

/** What is kept of somebody: a copy of it, and the wish to have it erased. */
export function KeptOfYou({
  locale,
  zone,
  newest,
  ask,
  takeBack,
}: {
  locale: Locale;
  zone: string;
  newest: OwnErasure | null;
  ask: () => Promise<string | null>;
  takeBack: () => Promise<void>;
}) {
  const t = (key: Parameters<typeof sentence>[1]) => sentence(locale, key);
  const isOpen = newest?.answeredAt === null;
  const day = newest ? formatDayOf(locale, newest.askedAt.toISOString(), zone) : "";
  return (
    <>
      <h2>{t("account.kept")}</h2>
      <p>{t("account.keptHelp")}</p>
      <p>
        <a href="/api/my-data" download>
          {t("account.keptDownload")}
        </a>
      </p>
      {newest ? (
        <>
          <p>{sentence(locale, isOpen ? "account.eraseAsked" : "account.eraseAnswered", { day })}</p>
          <ul>
            {newest.report.files.map((file) => (
              <li key={file.number}>{erasureWords(locale, file, zone)}</li>
            ))}
          </ul>
        </>
      ) : null}
      {isOpen ? (
        <form action={takeBack}>
          <button type="submit" className="plain-button">
            {t("account.eraseTakeBack")}
          </button>
        </form>
      ) : (
        <>
          <p className="help">{t("account.eraseHelp")}</p>
          <ConfirmPress action={ask} label={t("account.erase")} question={t("account.eraseQuestion")} locale={locale} />
        </>
      )}
    </>
  );
}
