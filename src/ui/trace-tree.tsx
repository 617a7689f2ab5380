import type { Trace } from "../core/rules/trace";
import type { Locale } from "../core/text/local-text";
import { say } from "../text/say";
import { detailLines, type FactTitles, joinWord, leafSentence } from "../text/trace";

/** Entries of a list are unfolded one by one only while they are few. */
const MOST_ENTRIES = 4;
const CONNECTIVES: readonly Trace["op"][] = ["all", "any", "atLeast", "not"];

interface Props {
  readonly trace: Trace;
  readonly titles: FactTitles;
  readonly locale: Locale;
  /** Whether to say which values are only claimed; an applicant's own values always are. */
  readonly marksClaims: boolean;
  readonly list?: string | undefined;
}

/** A trace unfolded: every condition with its value, down to the numbers. */
export function TraceTree({ trace, titles, locale, marksClaims, list }: Props) {
  const { leaf } = trace;
  const listed = trace.op === "some" && (trace.parts?.length ?? 0) <= MOST_ENTRIES;
  const parts = listed || CONNECTIVES.includes(trace.op) ? (trace.parts ?? []) : [];
  return (
    <li>
      <span data-truth={trace.truth}>{say(locale, `check.finding.${trace.truth}`)}</span>{" "}
      {leaf ? leafSentence(trace, titles, list, locale) : joinWord(trace, locale)}
      {marksClaims && leaf && !trace.confirmed ? <span className="quiet"> · claimed</span> : null}
      {leaf
        ? detailLines(leaf, locale).map((line) => (
            <span key={line} className="quiet formula">
              {line}
            </span>
          ))
        : null}
      {parts.length > 0 ? (
        <ul>
          {parts.map((part, i) => (
            <TraceTree
              // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a rule have a fixed order
              key={i}
              trace={part}
              titles={titles}
              locale={locale}
              marksClaims={marksClaims}
              list={trace.op === "some" ? leaf?.fact : list}
            />
          ))}
        </ul>
      ) : null}
    </li>
  );
}
