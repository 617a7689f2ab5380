import "../ui/styles/library.css";
import "../ui/styles/base.css";
import "../ui/styles/applicant.css";
import "../ui/styles/finder.css";
import "../ui/styles/plans.css";
import "../ui/styles/office.css";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import { fontClasses } from "../ui/frame/fonts";
import { locale } from "./request";

export const metadata: Metadata = {
  title: { default: "Unvex", template: "%s · Unvex" },
  description: "Intake for study programmes",
  icons: { icon: "/mark.svg" },
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang={await locale()} className={fontClasses}>
      <body>{children}</body>
    </html>
  );
}
