import type { RunningSum } from "../../core/rulebook/running-sums";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";

/** How far a list has come towards what the entry rules ask of it, drawn and in numbers. */
export function RunningSums({ sums, locale }: { sums: readonly RunningSum[]; locale: Locale }) {
  if (sums.length === 0) return null;
  return (
    <ul className="running-sums" aria-live="polite">
      {sums.map(({ title, now, least }) => {
        const share = Math.min(1, Number(now ?? 0) / Math.max(Number(least), Number.MIN_VALUE));
        return (
          <li key={title.en} data-reached={share >= 1}>
            <span>{title[locale]}</span>
            <svg className="sum-bar" viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true">
              <rect className="asked" width="100" height="6" />
              <rect className="reached" width={share * 100} height="6" />
            </svg>
            <span className="quiet">{sentence(locale, "sum.soFar", { now: now ?? "0", least })}</span>
          </li>
        );
      })}
    </ul>
  );
}
