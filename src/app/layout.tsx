import "@fontsource-variable/newsreader/index.css";
import "@fontsource-variable/public-sans/index.css";
import "../ui/styles/base.css";
import "../ui/styles/applicant.css";
import "../ui/styles/office.css";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import { locale } from "./request";

export const metadata: Metadata = {
  title: { default: "Unvex", template: "%s · Unvex" },
  description: "Intake for study programmes",
  icons: { icon: "/mark.svg" },
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang={await locale()}>
      <body>{children}</body>
    </html>
  );
}
