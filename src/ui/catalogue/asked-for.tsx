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

/** Every fee by its own name: how much, for whom, and what it depends on. */
export function FeeList({ fees, language }: { fees: AskedFor["fees"]; language: Locale }) {
  if (fees.length === 0) return <p>{sentence(language, "programme.noFees")}</p>;
  return (
    <ul className="dashes">
      {fees.map(({ title, perChoice, amounts, due, onlyIf }) => (
        <li key={title.en}>
          {title[language]}:{" "}
          {amounts
            .map((a) => (a.group ? `${formatMoney(language, a)} (${a.group[language]})` : formatMoney(language, a)))
            .join(", ")}
          {perChoice ? ` · ${sentence(language, "programme.perChoice")}` : ""}
          {due === "with a place" ? ` · ${sentence(language, "programme.withPlace")}` : ""}
          {due === "in some cases" ? <OnlyIf when={onlyIf} language={language} /> : null}
        </li>
      ))}
    </ul>
  );
}
