import Link from "next/link";
import type { ReactNode } from "react";
import { say } from "../../text/say";
import { Library } from "../../ui/library.client";
import { setLanguage } from "../language.action";
import { identity, isOffice, locale, nonce, officeZone } from "../request";
import { signOut } from "./account/sign-out.action";

/** The applicant's face: light, calm, one thing at a time. */
export default async function ApplicantLayout({ children }: { children: ReactNode }) {
  const [language, person, token] = await Promise.all([locale(), identity(), nonce()]);
  const t = (key: Parameters<typeof say>[1]) => say(language, key);
  return (
    <Library nonce={token} locale={language} face="applicant" zone={await officeZone()}>
      <div className="light">
        <a className="skip" href="#page">
          {t("nav.skip")}
        </a>
        <header className="light-band">
          <Link href="/" className="light-brand">
            Unvex <span>{t("brand.line")}</span>
          </Link>
          <nav aria-label="Unvex">
            <Link href="/">{t("nav.programmes")}</Link>
            {person ? (
              <>
                {isOffice(person) ? <Link href="/office">Office</Link> : <Link href="/my">{t("nav.mine")}</Link>}
                <Link href="/messages">{t("nav.messages")}</Link>
                <Link href="/account">{t("nav.account")}</Link>
                <form action={signOut}>
                  <button type="submit" className="link-button">
                    {t("nav.signOut")}
                  </button>
                </form>
              </>
            ) : (
              <>
                <Link href="/sign-in">{t("nav.signIn")}</Link>
                <Link href="/sign-up">{t("nav.signUp")}</Link>
              </>
            )}
            <form action={setLanguage}>
              <input type="hidden" name="locale" value={language === "en" ? "fr" : "en"} />
              <button type="submit" className="link-button" lang={language === "en" ? "fr" : "en"}>
                {t("nav.language")}
              </button>
            </form>
          </nav>
        </header>
        <main id="page">{children}</main>
        <span className="page-end" />
      </div>
    </Library>
  );
}
