import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { StyleProvider } from "@ant-design/cssinjs";
import { extractStyle } from "@ant-design/static-style-extract";
import { ConfigProvider } from "antd";
import { createElement as h } from "react";
import { applicantTheme, theme } from "../src/ui/frame/theme";

/**
 * Writes the styles of the library's components that we use into a file of our own, once a build, as both faces have them. No page
 * then carries or works out styles.
 */
const UI = path.join("src", "ui");
const IMPORT = /import \{([^}]*)\} from "antd";/u;

/** The components that our own import; the provider has no looks. */
function usedComponents(): readonly string[] {
  const names = readdirSync(UI, { recursive: true, encoding: "utf8" })
    .filter((name) => name.endsWith(".tsx"))
    .flatMap((name) => IMPORT.exec(readFileSync(path.join(UI, name), "utf8"))?.[1]?.split(",") ?? []);
  return [...new Set(names.map((name) => name.trim()))]
    .filter((name) => name !== "" && name !== "ConfigProvider")
    .sort();
}

const both = [theme, applicantTheme].map((face) => ({ ...face, zeroRuntime: false }));
const styles = extractStyle({
  includes: [...usedComponents()],
  customTheme: (components) =>
    h(
      StyleProvider,
      { layer: true },
      both.map((face) => h(ConfigProvider, { theme: face, key: face.cssVar?.key ?? "" }, components)),
    ),
});
// Components that are only shown alone make a set of tokens of their own, which no page has.
writeFileSync("src/ui/styles/library.css", styles.replaceAll(/\.css-var-_R_\w+\{[^}]*\}/gu, ""));
