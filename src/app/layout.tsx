import "../ui/styles/library.css";
import "../ui/styles/base.css";
import "../ui/styles/applicant.css";
import "../ui/styles/finder.css";
import "../ui/styles/plans.css";
import "../ui/styles/office.css";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import type { Locale } from "../core/text/local-text";
import { webRuntime } from "../runtime";
import { sentence } from "../text/sentence";
import { fontClasses } from "../ui/frame/fonts";
import { locale } from "./request";

export const metadata: Metadata = {
  title: { default: "Unvex", template: "%s · Unvex" },
  description: "Intake for study programmes",
  icons: { icon: "/mark.svg" },
};

/** Said on every page where what comes from outside is played and not real, and nobody could know it. */
async function Trial({ language }: { language: Locale }) {
  const settings = await webRuntime().then(
    (runtime) => runtime.settings,
    () => null, // without a database other pages say what is wrong
  );
  return settings && settings.card === "stand-in" && !settings.demo ? (
    <p className="played-note" role="note">
      {sentence(language, "trial.card")}
    </p>
  ) : null;
}

export default async function RootLayout({ children }: { children: ReactNode }) {
  const language = await locale();
  return (
    <html lang={language} className={fontClasses}>
      <body>
        <Trial language={language} />
        {children}
      </body>
    </html>
  );
}
