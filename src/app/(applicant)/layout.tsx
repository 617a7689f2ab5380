import type { ReactNode } from "react";
import { sentence } from "../../text/sentence";
import { Library } from "../../ui/frame/library.client";
import { NavMenu } from "../../ui/frame/nav-menu.client";
import { Way } from "../../ui/frame/way.client";
import { setLanguage } from "../language.action";
import { identity, isOffice, locale, nonce, officeZone } from "../request";
import { signOut } from "./account/sign-out.action";

/** The applicant's face: light, calm, one thing at a time. */
export default async function ApplicantLayout({ children }: { children: ReactNode }) {
  const [language, person, token] = await Promise.all([locale(), identity(), nonce()]);
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  return (
    <Library nonce={token} locale={language} face="applicant" zone={await officeZone()}>
      <div className="light">
        <a className="skip" href="#page">
          {t("nav.skip")}
        </a>
        <header className="light-band">
          <Way loading={t("page.loading")} href="/" className="light-brand">
            Unvex <span>{t("brand.line")}</span>
          </Way>
          <NavMenu word={t("nav.menu")}>
            <Way loading={t("page.loading")} href="/">
              {t("nav.programmes")}
            </Way>
            {person ? (
              <>
                {isOffice(person) ? (
                  <Way loading={t("page.loading")} href="/office">
                    Office
                  </Way>
                ) : (
                  <Way loading={t("page.loading")} href="/my">
                    {t("nav.mine")}
                  </Way>
                )}
                <Way loading={t("page.loading")} href="/messages">
                  {t("nav.messages")}
                </Way>
                <Way loading={t("page.loading")} href="/account">
                  {t("nav.account")}
                </Way>
                <form action={signOut}>
                  <button type="submit" className="link-button">
                    {t("nav.signOut")}
                  </button>
                </form>
              </>
            ) : (
              <>
                <Way loading={t("page.loading")} href="/sign-in">
                  {t("nav.signIn")}
                </Way>
                <Way loading={t("page.loading")} href="/sign-up">
                  {t("nav.signUp")}
                </Way>
              </>
            )}
            <form action={setLanguage}>
              <input type="hidden" name="locale" value={language === "en" ? "fr" : "en"} />
              <button type="submit" className="link-button" lang={language === "en" ? "fr" : "en"}>
                {t("nav.language")}
              </button>
            </form>
          </NavMenu>
        </header>
        <main id="page">{children}</main>
        <span className="page-end" />
      </div>
    </Library>
  );
}
