/** Something that can be pressed on the page that is open. */
export interface PageAct {
  readonly word: string;
  /** Its key, where one stands beside it. */
  readonly key: string | null;
  readonly press: () => void;
}

const LONGEST = 60;

/** A button's own words, without the key that stands beside them. */
function wordsOf(button: HTMLElement): string {
  const copy = button.cloneNode(true) as HTMLElement; // a copy of an element is one
  for (const key of copy.querySelectorAll(".key")) key.remove();
  return (copy.innerText || copy.textContent || button.getAttribute("aria-label") || "").replace(/\s+/gu, " ").trim();
}

const isShown = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** What can be pressed in the work of the page, as it is called there, each word once. */
export function pageActs(): readonly PageAct[] {
  const buttons = [...document.querySelectorAll<HTMLButtonElement>("#page button")].filter(
    (b) => !b.disabled && isShown(b),
  );
  const acts = new Map<string, PageAct>();
  for (const button of buttons) {
    const word = wordsOf(button);
    if (word === "" || word.length > LONGEST || acts.has(word)) continue;
    acts.set(word, {
      word,
      key: button.querySelector(".key")?.textContent?.trim() ?? null,
      press: () => button.click(),
    });
  }
  return [...acts.values()];
}
