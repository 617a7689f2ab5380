import type { PaperWay } from "../../core/file/facts";
import type { PaperState } from "../../core/post/inputs";

/** How a paper travels, as the office says it. */
export const WAY_WORDS: Readonly<Record<PaperWay, string>> = {
  post: "by post",
  courier: "by courier",
  "by hand": "brought by hand",
  "from the issuer": "from whoever issued it",
};

export const STATE_WORDS: Readonly<Record<PaperState, string>> = {
  "in order": "in order",
  damaged: "damaged",
  opened: "opened on the way",
  incomplete: "not complete",
};
