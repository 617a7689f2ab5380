/** Something that can be pressed on the page that is open. */
export interface PageAct {
  readonly word: string;
  /** Its key, where one stands beside it. */
  readonly key: string | null;
  readonly press: () => void;
}

const LONGEST = 60;

/** A button's own words as they are seen, without the key that stands beside them. */
function wordsOf(button: HTMLElement, key: string | null): string {
  const seen = (button.innerText || button.getAttribute("aria-label") || "").replace(/\s+/gu, " ").trim();
  return key !== null && seen.endsWith(key) ? seen.slice(0, -key.length).trim() : seen;
}

const isShown = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** What can be pressed in the work of the page, as it is called there, each word once. */
export function pageActs(): readonly PageAct[] {
  const buttons = [...document.querySelectorAll<HTMLButtonElement>("#page button")].filter(
    (b) => !b.disabled && isShown(b),
  );
  const acts = new Map<string, PageAct>();
  for (const button of buttons) {
    const key = button.querySelector<HTMLElement>(".key")?.innerText.trim() ?? null;
    const word = wordsOf(button, key);
    if (word === "" || word.length > LONGEST || acts.has(word)) continue;
    acts.set(word, {
      word,
      key,
      press: () => button.click(),
    });
  }
  return [...acts.values()];
}
