import { isLeaf, type Trace } from "../../core/rules/trace";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";
import { detailLines, entryWord, type FactTitles, joinWord, leafSentence } from "../../text/words/trace";

/** Of a list with more entries only those that fit are unfolded, so many of them. */
const MOST_ENTRIES = 4;

interface Props {
  readonly trace: Trace;
  readonly titles: FactTitles;
  readonly locale: Locale;
  /** Whether to say which values are only claimed; an applicant's own values always are. */
  readonly marksClaims: boolean;
  readonly list?: string | undefined;
}

/** The parts that are shown below a trace. */
function unfolded(trace: Trace): readonly Trace[] {
  if (trace.op === "not") return [trace.part];
  if (!isLeaf(trace)) return trace.parts;
  if (trace.op !== "some") return [];
  const { entries } = trace;
  return entries.length <= MOST_ENTRIES ? entries : entries.filter((e) => e.truth === "met").slice(0, MOST_ENTRIES);
}

/** A trace unfolded: every condition with its value, down to the numbers. */
export function TraceTree({ trace, titles, locale, marksClaims, list }: Props) {
  const leaf = isLeaf(trace) ? trace.leaf : null;
  const parts = unfolded(trace);
  const entry = entryWord(trace, titles);
  return (
    <li>
      <span data-truth={trace.truth}>{sentence(locale, `check.finding.${trace.truth}`)}</span>{" "}
      {entry === null ? null : <strong>{entry}: </strong>}
      {isLeaf(trace) ? leafSentence(trace, titles, list, locale) : joinWord(trace, locale)}
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
