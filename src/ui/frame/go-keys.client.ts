import { useRouter } from "next/navigation";
import { useEffect } from "react";
import type { OfficeGroup } from "./office-pages";

const WAITS_MS = 1500;

/** Whether somebody types there: in anything but a box that is ticked. */
const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && target.type !== "checkbox"));

/**
 * `g` and a letter lead to a page. Both are taken before the page's own keys hear of them: the letter of a page must not act on what is
 * open.
 */
export function useGoKeys(groups: readonly OfficeGroup[]): void {
  const router = useRouter();
  useEffect(() => {
    let until = 0;
    const press = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat || isTyping(e.target)) return;
      const waited = e.timeStamp < until;
      until = !waited && e.key === "g" ? e.timeStamp + WAITS_MS : 0;
      if (!waited && until === 0) return;
      e.preventDefault();
      e.stopImmediatePropagation();
      if (!waited) return;
      const page = groups.flatMap((g) => g.pages).find((p) => p.letter === e.key);
      if (page) router.push(page.href);
    };
    window.addEventListener("keydown", press, true);
    return () => window.removeEventListener("keydown", press, true);
  }, [groups, router]);
}
