import type { Locale } from "../../core/text/local-text";
import { formatMoney } from "../../text/format";
import { sentence } from "../../text/sentence";
import type { AskedFor } from "../../views/catalogue/asked-for";

const OnlyIf = ({ when, language }: { when: AskedFor["needs"][number]["onlyIf"]; language: Locale }) =>
  when ? <span className="quiet"> {sentence(language, "programme.onlyIf", { when: when[language] })}</span> : null;

/** What has to be had ready, with what it depends on. */
export function NeedList({ needs, language }: { needs: AskedFor["needs"]; language: Locale }) {
  return (
    <ul className="dashes">
      {needs.map(({ title, onlyIf }) => (
        <li key={title.en}>
          {title[language]}
          <OnlyIf when={onlyIf} language={language} />
        </li>
      ))}
    </ul>
  );
}

function Amounts({ amounts, language }: { amounts: AskedFor["fees"][number]["amounts"]; language: Locale }) {
  if (amounts.length === 0) return sentence(language, "programme.noFee");
  const sums = [...new Set(amounts.map((a) => formatMoney(language, a)))];
  return sums
    .map((sum) => {
      const groups = amounts.flatMap((a) => (a.group && formatMoney(language, a) === sum ? [a.group[language]] : []));
      return groups.length > 0 ? `${sum} (${groups.join(", ")})` : sum;
    })
    .join("; ");
}

/** Every fee by its own name: how much, for whom, what it depends on, and who pays less. */
export function FeeList({ fees, language }: { fees: AskedFor["fees"]; language: Locale }) {
  if (fees.length === 0) return <p>{sentence(language, "programme.noFees")}</p>;
  return (
    <ul className="dashes">
      {fees.map(({ title, perChoice, amounts, due, onlyIf, reductions }) => (
        <li key={title.en}>
          {title[language]}: <Amounts amounts={amounts} language={language} />
          {perChoice ? ` · ${sentence(language, "programme.perChoice")}` : ""}
          {due === "with a place" ? ` · ${sentence(language, "programme.withPlace")}` : ""}
          {due === "in some cases" ? <OnlyIf when={onlyIf} language={language} /> : null}
          {reductions.length > 0 ? (
            <ul className="dashes">
              {reductions.map((r) => (
                <li key={r.title.en}>
                  {r.title[language]}: <Amounts amounts={r.amounts} language={language} />
                  {r.onlyIf ? (
                    <span className="quiet"> {sentence(language, "programme.if", { when: r.onlyIf[language] })}</span>
                  ) : null}
                </li>
              ))}
            </ul>
          ) : null}
        </li>
      ))}
    </ul>
  );
}
