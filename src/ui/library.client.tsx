"use client";

import { createCache, extractStyle, StyleProvider } from "@ant-design/cssinjs";
import { App, ConfigProvider } from "antd";
import enGB from "antd/locale/en_GB";
import frFR from "antd/locale/fr_FR";
import { useServerInsertedHTML } from "next/navigation";
import { type ReactNode, useRef, useState } from "react";
import type { Locale } from "../core/text/local-text";
import { applicantTheme, theme } from "./theme";

/** The component library with our tokens; its styles go into the page with the first HTML, so nothing jumps. */
export function Library({
  nonce,
  locale,
  face,
  children,
}: {
  nonce: string;
  locale: Locale;
  face: "applicant" | "office";
  children: ReactNode;
}) {
  const [cache] = useState(() => createCache());
  const inserted = useRef(false);
  useServerInsertedHTML(() => {
    if (inserted.current) return null;
    inserted.current = true;
    // biome-ignore lint/security/noDangerouslySetInnerHtml: the library's own style sheet, made by the library
    return <style id="library" nonce={nonce} dangerouslySetInnerHTML={{ __html: extractStyle(cache, true) }} />;
  });
  return (
    <StyleProvider cache={cache} layer>
      <ConfigProvider
        theme={face === "applicant" ? applicantTheme : theme}
        locale={locale === "fr" ? frFR : enGB}
        csp={{ nonce }}
        wave={{ disabled: true }}
        button={{ autoInsertSpace: false }}
      >
        <App>{children}</App>
      </ConfigProvider>
    </StyleProvider>
  );
}
