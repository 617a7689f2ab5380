/** The form of what was chosen begins where it can be seen. */
export function intoView(element: HTMLElement | null): void {
  if ((element?.getBoundingClientRect().top ?? 0) < 0) element?.scrollIntoView({ block: "start" });
}
