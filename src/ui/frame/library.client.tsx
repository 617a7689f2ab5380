"use client";

import { StyleProvider } from "@ant-design/cssinjs";
import { ConfigProvider, Modal } from "antd";
import enGB from "antd/locale/en_GB";
import frFR from "antd/locale/fr_FR";
import "dayjs/locale/fr";
import { createContext, type ReactNode, useContext } from "react";
import type { Locale } from "../../core/text/local-text";
import { OfficeZoneProvider } from "./office-day.client";
import { applicantTheme, theme } from "./theme";
import { UnansweredProvider } from "./unanswered.client";

type Dialogs = ReturnType<typeof Modal.useModal>[0];

const DialogContext = createContext<Dialogs | null>(null);

/** Dialogs that ask before something is done, in the face and language of the page. */
export function useDialogs(): Dialogs {
  const dialogs = useContext(DialogContext);
  if (!dialogs) throw new Error("dialogs need the Library around them");
  return dialogs;
}

function DialogProvider({ children }: { children: ReactNode }) {
  const [dialogs, place] = Modal.useModal();
  return (
    <DialogContext value={dialogs}>
      {children}
      {place}
    </DialogContext>
  );
}

/** The component library with our tokens. Its styles are a file of the build, so that nothing is worked out for each page. */
export function Library({
  nonce,
  locale,
  face,
  zone,
  children,
}: {
  nonce: string;
  locale: Locale;
  face: "applicant" | "office";
  /** The office's. */
  zone: string;
  children: ReactNode;
}) {
  return (
    <StyleProvider layer>
      <ConfigProvider
        theme={face === "applicant" ? applicantTheme : theme}
        locale={locale === "fr" ? frFR : enGB}
        csp={{ nonce }}
        wave={{ disabled: true }}
        button={{ autoInsertSpace: false }}
      >
        <OfficeZoneProvider zone={zone}>
          <DialogProvider>
            <UnansweredProvider locale={locale}>{children}</UnansweredProvider>
          </DialogProvider>
        </OfficeZoneProvider>
      </ConfigProvider>
    </StyleProvider>
  );
}
