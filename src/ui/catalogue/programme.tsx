import type { FeeDue } from "../../core/fees/fee-due";
import type { Locale } from "../../core/text/local-text";
import { formatDate, formatMoment, formatMoney, formatZone, languageName } from "../../text/format";
import { sentence, type TextKey } from "../../text/sentence";
import type { AskedFor } from "../../views/catalogue/asked-for";
import type { FinderHit, FinderRound, GroupTerms } from "../../views/catalogue/finder";
import { LocalMoment } from "../frame/local-moment.client";
import { FeeList, NeedList } from "./asked-for";

/** How long a programme lasts: "24 months", "2 weeks". */
export const lengthText = (
  language: Locale,
  { length, lengthUnit }: Pick<FinderHit, "length" | "lengthUnit">,
): string => sentence(language, `finder.${lengthUnit}`, { count: length });

/** The line under a programme's name: level, length, language, place, start. */
export function programmeLine(hit: FinderHit, language: Locale): string {
  return [
    sentence(language, `level.${hit.level}`),
    lengthText(language, hit),
    ...(hit.ects > 0 ? [`${hit.ects} ECTS`] : []),
    ...(hit.modes.length > 1 ? [hit.modes.map((m) => sentence(language, `mode.${m}`)).join(" / ")] : []),
    hit.languages.map((l) => languageName(language, l)).join(" / "),
    hit.campuses.map((c) => c.title[language]).join(", "),
    sentence(language, "home.start", { date: formatDate(language, hit.startsOn) }),
  ].join(" · ");
}

interface RoundProps {
  readonly round: FinderRound;
  /** The office's time zone. */
  readonly zone: string;
  readonly language: Locale;
}

const FEE_KEYS = {
  always: "finder.fee",
  "with a place": "finder.feeWithPlace",
  "in some cases": "finder.feeInSome",
} as const satisfies Record<FeeDue, TextKey>;

/** A fee in short: what most pay, and that some pay less. */
function feeInShort(fee: GroupTerms["fees"][number], language: Locale): string {
  const text = sentence(language, FEE_KEYS[fee.due], { amount: formatMoney(language, fee) });
  if (fee.least === fee.minor) return text;
  return sentence(language, "finder.feeReduced", { fee: text });
}

const feeText = (group: GroupTerms, language: Locale): string =>
  group.fees.length === 0
    ? sentence(language, "finder.noFee")
    : group.fees.map((f) => feeInShort(f, language)).join(" + ");

/** One line for each closing: who it holds for, and what they pay. */
function closingLines(
  { groups }: FinderRound,
  language: Locale,
): readonly { readonly closesAt: string; readonly terms: string }[] {
  return [...new Set(groups.map((g) => g.closesAt))].map((closesAt) => {
    const own = groups
      .filter((g) => g.closesAt === closesAt)
      .map((g) => ({ who: g.title[language], fee: feeText(g, language) }));
    const [first] = own;
    const alike = first !== undefined && own.every((g) => g.fee === first.fee);
    if (!alike) {
      const fees = [...new Set(own.map((g) => g.fee))];
      const payers = (fee: string) => own.filter((g) => g.fee === fee).map((g) => g.who);
      return { closesAt, terms: fees.map((fee) => `${payers(fee).join(", ")}: ${fee}`).join(" · ") };
    }
    if (groups.length === 1) return { closesAt, terms: first.fee };
    const who =
      own.length === groups.length ? sentence(language, "finder.everybody") : own.map((g) => g.who).join(", ");
    return { closesAt, terms: `${who} · ${first.fee}` };
  });
}

/** Until when a round is open, for the visitor's group or for each, on the office's clock and the reader's, with the fee. */
export function Deadlines({ round, zone, language }: RoundProps) {
  const word = round.state === "closed" || round.state === "full" ? "finder.closed" : "finder.closes";
  return (
    <ul className="deadlines">
      {round.state === "coming" ? (
        <li className="strong">
          {sentence(language, round.waits ? "finder.opensIfLeft" : "finder.opens", {
            when: formatMoment(language, round.opensAt, zone),
          })}
        </li>
      ) : null}
      {closingLines(round, language).map((line) => (
        <li key={line.closesAt}>
          <span className="strong">
            {sentence(language, word, { when: formatMoment(language, line.closesAt, zone) })}
          </span>
          <span className="quiet">{line.terms}</span>
          <LocalMoment instant={line.closesAt} officeZone={zone} locale={language} />
        </li>
      ))}
      {round.closesWhenFull && round.state === "open" ? (
        <li className="quiet">{sentence(language, "finder.untilFull")}</li>
      ) : null}
    </ul>
  );
}

/** Whose clock the deadlines are on. */
export function ZoneNote({ zone, language }: { zone: string; language: Locale }) {
  return <span className="quiet">{sentence(language, "finder.zone", { zone: formatZone(zone) })}</span>;
}

/** Which results have to be there by the closing, said before anybody chooses. */
export function ResultsDue({ hit, language }: { hit: FinderHit; language: Locale }) {
  if (hit.resultsDue.length === 0) return null;
  const what = hit.resultsDue.map((title) => title[language]).join(", ");
  return <p className="strong">{sentence(language, "finder.resultsDue", { what })}</p>;
}

/** What somebody must know of a programme before they begin. */
export function ProgrammeFacts({
  hit,
  round,
  zone,
  language,
  office,
  asked,
}: RoundProps & { hit: FinderHit; office: string; asked: AskedFor }) {
  return (
    <>
      <p className="quiet">
        {hit.code} · {programmeLine(hit, language)} ·{" "}
        <strong>{sentence(language, `finder.state.${round.state}`)}</strong>
      </p>
      {hit.partner ? <p>{sentence(language, "finder.partner", { partner: hit.partner, office })}</p> : null}
      <p className="measure">{hit.description[language]}</p>
      {hit.withoutVisa ? <p className="strong">{sentence(language, "finder.noVisa")}</p> : null}
      <ResultsDue hit={hit} language={language} />
      <Deadlines round={round} zone={zone} language={language} />
      <p>
        <ZoneNote zone={zone} language={language} />
      </p>
      <details>
        <summary>{sentence(language, "home.needs")}</summary>
        <NeedList needs={asked.needs} language={language} />
      </details>
      <details>
        <summary>{sentence(language, "programme.fees")}</summary>
        <FeeList fees={asked.fees} language={language} />
      </details>
    </>
  );
}
