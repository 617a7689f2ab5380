import type { Locale } from "../../core/text/local-text";
import type { TimeSpent } from "../../core/turns/spent";
import { formatDate } from "../../text/format";
import { sentence } from "../../text/sentence";
import { TURN_WORDS } from "../../text/words/office";

/** Who had a file for how long: the stretches side by side, as wide as they were long, and each in words. */
export function TurnDays({
  spent,
  locale,
  forOffice = false,
}: {
  spent: TimeSpent;
  locale: Locale;
  /** The office calls the parties by the names of its lists. */
  forOffice?: boolean;
}) {
  const { since, own, others, stretches } = spent;
  const summary = sentence(locale, forOffice ? "spent.office.summary" : "spent.summary", {
    since: formatDate(locale, since),
    own,
    others,
  });
  return (
    <div className="turn-days">
      <p>{summary}</p>
      <div className="turn-days-bar" aria-hidden="true">
        {stretches.map(({ turn, from, days }) => (
          <span key={from + turn} data-turn={turn} style={{ flexGrow: days }} />
        ))}
      </div>
      <details>
        <summary>{sentence(locale, "spent.show")}</summary>
        <ol>
          {stretches.map(({ turn, from, to, days }) => (
            <li key={from + turn}>
              <span className="turn-mark" data-turn={turn} />
              <span>{forOffice ? TURN_WORDS[turn] : sentence(locale, `spent.turn.${turn}`)}</span>
              <span className="quiet">
                {to === null
                  ? sentence(locale, "spent.since", { from: formatDate(locale, from) })
                  : sentence(locale, "spent.between", { from: formatDate(locale, from), to: formatDate(locale, to) })}
              </span>
              <span className="numbers">{sentence(locale, "spent.days", { days })}</span>
            </li>
          ))}
        </ol>
      </details>
    </div>
  );
}
