import { writeFileSync } from "node:fs";
import { StyleProvider } from "@ant-design/cssinjs";
import { extractStyle } from "@ant-design/static-style-extract";
import { ConfigProvider } from "antd";
import { createElement as h } from "react";
import { applicantTheme, theme } from "../src/ui/theme";

/**
 * Writes the component library's styles into a file of our own, once a build, as both faces have them. No page then carries or
 * works out styles. A component that is used and not named here stands there bare, which the tests of the screens would not miss.
 */
const COMPONENTS = ["Button", "Checkbox", "DatePicker", "Input", "Modal", "Progress", "Radio", "Select"];

const both = [theme, applicantTheme].map((face) => ({ ...face, zeroRuntime: false }));
const styles = extractStyle({
  includes: COMPONENTS,
  customTheme: (components) =>
    h(
      StyleProvider,
      { layer: true },
      both.map((face) => h(ConfigProvider, { theme: face, key: face.cssVar?.key ?? "" }, components)),
    ),
});
// Components that are only shown alone make a set of tokens of their own, which no page has.
writeFileSync("src/ui/styles/library.css", styles.replaceAll(/\.css-var-_R_\w+\{[^}]*\}/gu, ""));
