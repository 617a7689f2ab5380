/**
 * A path of ours to go to after signing in; null for anything that browsers would take for another site. Signs that they leave out of an
 * address (tabs, ends of lines) are refused first, for what stands behind them would come to the front.
 */
export function safePath(to: string | undefined): string | null {
  if (to === undefined || !to.startsWith("/") || /[\p{Cc}\s\\]/u.test(to)) return null;
  const base = "http://unvex.invalid";
  const url = URL.canParse(to, base) ? new URL(to, base) : null;
  return url?.origin === base && !url.pathname.startsWith("//") ? `${url.pathname}${url.search}${url.hash}` : null;
}
