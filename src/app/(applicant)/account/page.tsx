import { headers } from "next/headers";
import Link from "next/link";
import { canHavePasskeys, passkeysOf } from "../../../auth/passkeys";
import { sessionsOf } from "../../../auth/sessions";
import { webRuntime } from "../../../runtime";
import { formatMoment } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import { deviceName } from "../../../text/words/device-name";
import { KeptOfYou } from "../../../ui/people/kept-of-you";
import { Passkeys } from "../../../ui/people/passkeys.client";
import { ownErasure } from "../../../views/people/erasures";
import { currentSession, locale, officeZone, requirePerson, see } from "../../request";
import { askToErase, takeBack } from "./erasure.action";
import { beginPasskeyAction, keepPasskeyAction, removePasskeyAction } from "./passkeys.action";
import { endOne, signOutAll } from "./sign-out.action";

export default async function AccountPage() {
  const language = await locale();
  const person = await requirePerson("/account");
  const [session, runtime, zone] = await Promise.all([currentSession(), webRuntime(), officeZone()]);
  const sessions = session ? await sessionsOf(runtime, session.user.id, session.session.token) : [];
  const erasure = person.isStaff ? null : await see(ownErasure, person.actor, {});
  const hasFactor = session?.user.twoFactorEnabled === true;
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <div className="sheet narrow">
      <h1>{t("account.title")}</h1>
      <dl className="pairs">
        <dt>{t("account.name")}</dt>
        <dd>{person.actor.name}</dd>
        <dt>{t("account.email")}</dt>
        <dd>{person.email}</dd>
        <dt>{t("account.languageTitle")}</dt>
        <dd>{person.locale === "fr" ? "Français" : "English"}</dd>
      </dl>
      {person.isStaff || hasFactor ? (
        <>
          <h2>{t("account.factor")}</h2>
          <p>{t(hasFactor ? "account.factorOn" : "account.factorOff")}</p>
          <p>
            <Link href="/account/second-factor">{t(hasFactor ? "account.factorManage" : "account.factorSetUp")}</Link>
          </p>
        </>
      ) : null}
      <h2>{t("account.passkeys")}</h2>
      <Passkeys
        locale={language}
        zone={zone}
        possible={canHavePasskeys(runtime.settings.url)}
        keys={await passkeysOf(runtime, await headers())}
        suggested={deviceName((await headers()).get("user-agent") ?? "")}
        begin={beginPasskeyAction}
        keep={keepPasskeyAction}
        remove={removePasskeyAction}
      />
      <h2>{t("account.sessions")}</h2>
      <ul className="plain-list">
        {sessions.map((s) => (
          <li key={s.id}>
            <strong>{deviceName(s.device) || t("account.someDevice")}</strong>{" "}
            <span className="quiet">
              {sentence(language, "account.sessionTimes", {
                begun: formatMoment(language, s.begunAt, zone),
                used: formatMoment(language, s.usedAt, zone),
              })}
            </span>{" "}
            {s.isThisOne ? (
              <span className="quiet">· {t("account.thisOne")}</span>
            ) : (
              <form action={endOne} className="in-line">
                <input type="hidden" name="id" value={s.id} />
                <button type="submit" className="link-button">
                  {t("account.endSession")}
                </button>
              </form>
            )}
          </li>
        ))}
      </ul>
      <form action={signOutAll}>
        <p className="help">{t("account.everywhereHelp")}</p>
        <button type="submit" className="plain-button">
          {t("account.everywhere")}
        </button>
      </form>
      {person.isStaff ? null : (
        <KeptOfYou
          locale={language}
          zone={zone}
          newest={erasure?.newest ?? null}
          ask={askToErase}
          takeBack={takeBack}
        />
      )}
    </div>
  );
}
