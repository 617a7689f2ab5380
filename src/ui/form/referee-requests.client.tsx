"use client";

import type { FormSection } from "../../core/form/form-sections";
import type { Locale } from "../../core/text/local-text";
import { formatDayInZone } from "../../text/format";
import { isTextKey, sentence } from "../../text/sentence";
import type { MyApplication } from "../../views/application/application-data";
import { ConfirmPress } from "../frame/confirm-press.client";
import { CopyPress } from "../frame/copy-press.client";

type Press = (id: string) => Promise<string | null>;

/** What is known of the requests to referees, and what is done with them. */
export interface Requesting {
  readonly requests: MyApplication["references"];
  /** Mails the referee of an entry. */
  readonly ask: Press;
  /** Has the mail sent once more. */
  readonly again: Press;
  /** Ends a request. */
  readonly withdraw: Press;
}

const UNDER_WAY = ["asked", "opened", "given"];
const OPEN = ["asked", "opened"];

/** Each referee as the form has them now, with the state of the request, and the press that sends or withdraws it. */
export function RefereeRequests({
  section,
  requesting: { requests, ask, again, withdraw },
  locale,
  zone,
}: {
  section: FormSection;
  requesting: Requesting;
  locale: Locale;
  zone: string;
}) {
  return (
    <ul className="requests" aria-label={section.title[locale]}>
      {section.entries.map((entry) => {
        const value = (field: string) => String(entry.values[field]?.value ?? "");
        const last = requests.filter((r) => r.referee === entry.id).at(-1);
        const live = last !== undefined && UNDER_WAY.includes(last.state);
        const isOpen = last !== undefined && OPEN.includes(last.state);
        const state = `referee.state.${last?.declineReason === "not me" ? "notMe" : (last?.state ?? "")}`;
        const why = `referee.why.${last?.declineReason ?? ""}`;
        const ready = value("name") !== "" && value("email") !== "" && value("role") !== "";
        return (
          <li key={entry.id}>
            <span className="strong">{value("name") || "—"}</span> <span className="quiet">{value("email")}</span>
            {last && isTextKey(state) ? (
              <p>
                {sentence(locale, state, { date: formatDayInZone(locale, last.askedAt, zone), email: last.email })}{" "}
                {isTextKey(why) ? sentence(locale, why) : ""}
                {isOpen && last.remindedAt
                  ? sentence(locale, "referee.reminded", { date: formatDayInZone(locale, last.remindedAt, zone) })
                  : ""}{" "}
                {isOpen ? sentence(locale, "referee.wanted", { date: formatDayInZone(locale, last.dueAt, zone) }) : ""}
              </p>
            ) : null}
            {isOpen && value("email") !== "" && value("email") !== last.email ? (
              <p className="doubt">{sentence(locale, "referee.askedElsewhere", { email: last.email })}</p>
            ) : null}
            {live || !ready ? null : (
              <ConfirmPress
                action={() => ask(entry.id)}
                label={sentence(locale, "referee.send")}
                question={sentence(locale, "referee.sendAsk", { name: value("name"), email: value("email") })}
                primary
                locale={locale}
              />
            )}
            {live || value("name") === "" ? null : (
              <details>
                <summary>{sentence(locale, "referee.askFirst")}</summary>
                <p className="held-value">{sentence(locale, "referee.askFirstText", { name: value("name") })}</p>
                <CopyPress
                  text={sentence(locale, "referee.askFirstText", { name: value("name") })}
                  label={sentence(locale, "save.copy")}
                  done={sentence(locale, "save.copied")}
                />
              </details>
            )}
            {live || ready ? null : <p className="quiet">{sentence(locale, "referee.sendFirst")}</p>}
            {isOpen ? (
              <ConfirmPress
                action={() => again(last.id)}
                label={sentence(locale, "referee.again")}
                question={sentence(locale, "referee.againAsk", { name: value("name"), email: last.email })}
                locale={locale}
              />
            ) : null}
            {isOpen ? (
              <ConfirmPress
                action={() => withdraw(last.id)}
                label={sentence(locale, "referee.withdraw")}
                question={sentence(locale, "referee.withdraw")}
                locale={locale}
              />
            ) : null}
          </li>
        );
      })}
    </ul>
  );
}
