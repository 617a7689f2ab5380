import { nameSimilarity } from "./name-similarity";

/** Below this a typed signature is another name: a spelling without accents is above it, a family name alone is not. */
const SAME_NAME = 0.9;

/** Whether somebody signed with another name than the one that their papers bear; two empty names tell nothing. */
export function signedOtherwise(signed: string, legal: string): boolean {
  if (signed.trim() === "" || legal.trim() === "") return false;
  return nameSimilarity(signed, legal).score < SAME_NAME;
}
