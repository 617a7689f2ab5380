import { doubtsEn, doubtsFr } from "./doubts";
import { earlyCasesEn, earlyCasesFr } from "./early-cases";
import { entryRulesEn, entryRulesFr } from "./entry-rules";
import { likenessEn, likenessFr } from "./likeness";
import { pastingEn, pastingFr } from "./pasting";
import { picturesEn, picturesFr } from "./pictures";
import { reachingEn, reachingFr } from "./reaching";
import { resultsFileEn, resultsFileFr } from "./results-file";
import { standingsEn, standingsFr } from "./standings";
import { toldRulesEn, toldRulesFr } from "./told-rules";

/** The catalogues that stand in files of their own, together. */
export const moreEn = {
  ...pastingEn,
  ...resultsFileEn,
  ...doubtsEn,
  ...toldRulesEn,
  ...entryRulesEn,
  ...picturesEn,
  ...earlyCasesEn,
  ...likenessEn,
  ...reachingEn,
  ...standingsEn,
} as const;
export const moreFr: Readonly<Record<keyof typeof moreEn, string>> = {
  ...pastingFr,
  ...resultsFileFr,
  ...doubtsFr,
  ...toldRulesFr,
  ...entryRulesFr,
  ...picturesFr,
  ...earlyCasesFr,
  ...likenessFr,
  ...reachingFr,
  ...standingsFr,
};
