import type { Locale } from "../../../../../core/text/local-text";
import { formatDayInZone } from "../../../../../text/format";
import { isTextKey, sentence } from "../../../../../text/sentence";
import { ConfirmPress } from "../../../../../ui/frame/confirm-press.client";
import type { MyApplication } from "../../../../../views/application/application-data";
import { askReferee, withdrawRequest } from "../application.action";

/** Each referee with the state of the request, and the press that sends or withdraws it. */
export function RefereeRequests({ application, language }: { application: MyApplication; language: Locale }) {
  const section = application.sections.find((s) => s.core === "referees");
  if (!section) return null;
  return (
    <ul className="requests" aria-label={section.title[language]}>
      {section.entries.map((entry) => {
        const value = (field: string) => String(entry.values[field]?.value ?? "");
        const requests = application.references.filter((r) => r.referee === entry.id);
        const last = requests.at(-1);
        const live = last !== undefined && ["asked", "opened", "given"].includes(last.state);
        const state = `referee.state.${last?.state ?? ""}`;
        const ready = value("name") !== "" && value("email") !== "" && value("role") !== "";
        return (
          <li key={entry.id}>
            <span className="strong">{value("name") || "—"}</span> <span className="quiet">{value("email")}</span>
            {last && isTextKey(state) ? (
              <p>{sentence(language, state, { date: formatDayInZone(language, last.askedAt, application.zone) })}</p>
            ) : null}
            {live || !ready ? null : (
              <ConfirmPress
                action={askReferee.bind(null, application.number, application.id, entry.id)}
                label={sentence(language, "referee.send")}
                question={sentence(language, "referee.sendAsk", { name: value("name"), email: value("email") })}
                primary
                locale={language}
              />
            )}
            {live || ready ? null : <p className="quiet">{sentence(language, "referee.sendFirst")}</p>}
            {last && (last.state === "asked" || last.state === "opened") ? (
              <ConfirmPress
                action={withdrawRequest.bind(null, application.number, application.id, last.id)}
                label={sentence(language, "referee.withdraw")}
                question={sentence(language, "referee.withdraw")}
                locale={language}
              />
            ) : null}
          </li>
        );
      })}
    </ul>
  );
}
