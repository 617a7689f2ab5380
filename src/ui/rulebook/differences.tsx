import type { ReferenceDifference } from "../../core/difference/reference-sets";
import type { RulebookDifference } from "../../core/difference/rulebooks";
import type { Json } from "../../core/file/facts";
import { conditionSchema } from "../../core/rules/condition";
import { formatMoney } from "../../text/format";
import { conditionSentence } from "../../text/words/condition";
import type { FactTitles } from "../../text/words/trace";
import { AREA_WORDS } from "./words";

/** A readable difference between two versions: what was, what is. */
const PART_WORDS: Readonly<Record<string, string>> = {
  title: "title",
  help: "help",
  intro: "text above it",
  required: "must be answered",
  when: "asked when",
  rule: "met when",
  curable: "may still be met",
  amounts: "amounts",
  reductions: "reductions",
  options: "answers",
  neededBy: "needed by",
  toSubmit: "to submit",
  proof: "proof needed",
  least: "at least",
  most: "at most",
  length: "length",
  seenBy: "seen by",
  grows: "takes results after submission",
  carries: "taken over into the next application",
  fromRegistry: "lines that a registry gives",
  promisedFor: "promised for the day in",
  perEntryOf: "once for each entry of",
  kind: "kind",
  count: "how many",
  best: "best mark",
  pass: "lowest mark that passes",
  worst: "worst mark",
  letters: "letters",
  parts: "parts",
  levels: "levels",
  validMonths: "months valid",
  total: "total",
  x: "place on the map, from the left",
  y: "place on the map, from the top",
  note: "words about it",
  name: "name",
  zone: "time zone",
  currency: "currency",
  graceMinutes: "minutes of grace",
  keepDraftsDays: "days for which drafts are kept",
  keepFilesDays: "days for which closed files are kept",
  visaFree: "whether its people need no visa",
  check: "days to check what came in",
  answer: "days to answer a question",
  ask: "days to answer an ask",
  acceptOffer: "days to answer an offer",
  remindBefore: "days of the reminder before what is asked for is due",
  remindAfter: "days of the reminder after what is asked for was due",
  remindTimes: "reminders after what is asked for was due",
  returnAfter: "days after which what is asked for is with the office again",
  refereeEvery: "days after which a referee is reminded",
  refereeTimes: "reminders to a referee",
  refereeBefore: "days of the last reminder before a referee’s time is over",
  weekend: "weekend",
  shownToApplicant: "shown to applicants",
  signedBy: "signed by a link",
  governsName: "the name counts as it stands there",
  keptBack: "left out of copies that are passed on",
  forFinance: "read by finance, too",
  ends: "the day on which a paper ends",
  institutional: "only addresses at institutions",
  forLetters: "letters go there",
  counted: "counted in the figures",
  byOffice: "filled in by the office",
  earlier: "filled in from an earlier application",
  keptBy: "the system that owns it",
  gate: "decides who may choose the programme",
  mayBeUnknown: "“I do not know” is an answer",
  method: "method",
  basis: "stands on",
  several: "of several degrees",
  mean: "what counts in the mean",
  areas: "only subject areas",
  lastEcts: "only the latest ECTS",
  decimals: "decimals",
  rounding: "rounding",
  compare: "compared",
  minimums: "what tests have to reach",
  mode: "counted",
  validOn: "valid on",
  resultBy: "result by",
  step: "step between marks",
  percent: "percentage that its issuer states",
};

function isObject(value: Json): value is { readonly [key: string]: Json } {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** A part's value in words: rules as sentences, texts in English, amounts as money. */
function shown(part: string, value: Json, titles: FactTitles): string {
  if (value === null) return "nothing";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value !== "object") return String(value);
  const condition = ["when", "rule", "promise", "degree"].includes(part) ? conditionSchema.safeParse(value) : null;
  if (condition?.success) return conditionSentence(condition.data, titles);
  if (isObject(value) && typeof value.en === "string") return value.en;
  if (part === "amounts" && Array.isArray(value))
    return value
      .map((a) =>
        isObject(a)
          ? `${String(a.group)} ${formatMoney("en", { minor: Number(a.minor), currency: "EUR" }).replace(" EUR", "")}`
          : "",
      )
      .join(", ");
  if (Array.isArray(value))
    return (
      value.map((v) => (isObject(v) ? shown("title", v.title ?? v.key ?? v, titles) : String(v))).join(", ") || "none"
    );
  if (isObject(value))
    return Object.entries(value)
      .map(([k, v]) => `${k}: ${shown(k, v, titles)}`)
      .join(", ");
  return "";
}

export function Differences({
  differences,
  titles,
}: {
  differences: readonly (RulebookDifference | ReferenceDifference)[];
  titles: FactTitles;
}) {
  if (differences.length === 0) return <p className="quiet">Nothing differs.</p>;
  return (
    <table className="plain-table differences">
      <thead>
        <tr>
          <th>Part</th>
          <th>What</th>
          <th>Before</th>
          <th>After</th>
        </tr>
      </thead>
      <tbody>
        {differences.flatMap((d) =>
          d.change !== "changed"
            ? [
                <tr key={`${d.area} ${d.key}`} data-change={d.change}>
                  <td>
                    {AREA_WORDS[d.area]} <strong>{d.title.en || d.key}</strong>
                  </td>
                  <td colSpan={3}>{d.change}</td>
                </tr>,
              ]
            : d.parts.map((p, i) => (
                <tr key={`${d.area} ${d.key} ${p.part}`} data-change={d.change}>
                  <td>
                    {i === 0 ? (
                      <>
                        {AREA_WORDS[d.area]} <strong>{d.title.en || d.key}</strong>
                      </>
                    ) : null}
                  </td>
                  <td>{PART_WORDS[p.part] ?? p.part}</td>
                  <td className="before">{shown(p.part, p.before, titles)}</td>
                  <td>{shown(p.part, p.after, titles)}</td>
                </tr>
              )),
        )}
      </tbody>
    </table>
  );
}
