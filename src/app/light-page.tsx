import type { ReactNode } from "react";
import { sentence } from "../text/sentence";
import { Library } from "../ui/frame/library.client";
import { setLanguage } from "./language.action";
import { locale, nonce, officeZone } from "./request";

/** The frame of a page that somebody without an account reaches by a link: the brand, the other language, and one sheet. */
export async function LightPage({ children }: { children: ReactNode }) {
  const language = await locale();
  const other = language === "en" ? "fr" : "en";
  return (
    <Library nonce={await nonce()} locale={language} face="applicant" zone={await officeZone()}>
      <div className="light">
        <header className="light-band">
          <span className="light-brand">
            Unvex <span>{sentence(language, "brand.line")}</span>
          </span>
          <form action={setLanguage}>
            <input type="hidden" name="locale" value={other} />
            <button type="submit" className="link-button" lang={other}>
              {sentence(language, "nav.language")}
            </button>
          </form>
        </header>
        <main id="page">
          <div className="sheet narrow">{children}</div>
        </main>
        <span className="page-end" />
      </div>
    </Library>
  );
}
