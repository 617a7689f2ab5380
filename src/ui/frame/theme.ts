import type { ThemeConfig } from "antd";

/** Paper and ink: our tokens for the component library. */
const INK = "#1B2430";
const QUIET = "#5A6472";
const LINE = "#DDD8CC";
const SPRUCE = "#17594A";
const SPRUCE_TINT = "#DFE8E2";
const PAPER_TINT = "#F0ECE2";

export const theme: ThemeConfig = {
  cssVar: { key: "office-tokens" },
  hashed: false,
  // The styles are a file made by the build (commands/library-css.ts).
  zeroRuntime: true,
  token: {
    colorPrimary: SPRUCE,
    colorLink: SPRUCE,
    colorInfo: SPRUCE,
    colorSuccess: SPRUCE,
    colorError: "#9A2B22",
    colorWarning: "#8A5C0C",
    colorText: INK,
    colorTextSecondary: QUIET,
    colorTextPlaceholder: "#666E79",
    colorTextDisabled: "#666E79",
    colorBorder: "#8D8878",
    colorBorderSecondary: LINE,
    colorBgLayout: "#F6F4EE",
    controlItemBgActive: SPRUCE_TINT,
    controlItemBgActiveHover: SPRUCE_TINT,
    controlItemBgHover: PAPER_TINT,
    borderRadius: 2,
    borderRadiusLG: 2,
    borderRadiusSM: 2,
    fontFamily: "var(--sans)",
    fontSize: 14,
    boxShadow: "none",
    boxShadowSecondary: "0 2px 0 rgba(27,36,48,0.10)",
    controlOutlineWidth: 2,
    // Nothing moves: a list or a dialog is there at once, for hands that work with the keyboard all day.
    motion: false,
  },
  components: {
    Button: { fontWeight: 600, primaryShadow: "none", defaultShadow: "none" },
    Modal: { titleFontSize: 18 },
  },
};

/**
 * The applicant's side: the same paper and ink, larger to the finger. It has a key of its own, or the sizes of one face would
 * stay when a link leads to the other.
 */
export const applicantTheme: ThemeConfig = {
  ...theme,
  cssVar: { key: "applicant-tokens" },
  token: { ...theme.token, fontSize: 16, controlHeight: 42 },
};
