import MiniSearch from "minisearch";
import { fold } from "../people/fold";

/**
 * Finds programmes by words or parts of words, with typing errors forgiven. Every word that was typed must be found somewhere;
 * a hit in a code or title weighs more than one in a description.
 */
export interface Searchable {
  readonly id: string;
  readonly code: string;
  /** Titles and awards in every language. */
  readonly title: string;
  readonly keywords: string;
  readonly text: string;
}

const LEAST_PART = 4;
const FORGIVING_FROM = 4;
const TWO_ERRORS_FROM = 8;

/** A word and its endings, so that a part from the middle of a word is found as the beginning of one of them. */
function endings(term: string): string[] {
  const folded = fold(term);
  const all = [folded];
  for (let i = 1; folded.length - i >= LEAST_PART; i += 1) all.push(folded.slice(i));
  return all.filter((part) => part !== "");
}

const tokens = (text: string): string[] => text.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== "");

export function searchIndex(programmes: readonly Searchable[]): (words: string) => readonly string[] {
  const index = new MiniSearch<Searchable>({
    fields: ["code", "title", "keywords", "text"],
    tokenize: tokens,
    processTerm: endings,
  });
  index.addAll(programmes);
  return (words) => {
    const asked = tokens(words).map(fold);
    if (asked.length === 0) return programmes.map((p) => p.id);
    return index
      .search(asked.join(" "), {
        processTerm: (term) => term,
        combineWith: "AND",
        prefix: true,
        fuzzy: (term) => (term.length >= TWO_ERRORS_FROM ? 2 : term.length >= FORGIVING_FROM ? 1 : false),
        boost: { code: 4, title: 3, keywords: 2 },
      })
      .map((hit) => String(hit.id));
  };
}
