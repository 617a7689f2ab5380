import { hashToken } from "../../../acts/act/token";
import { webRuntime } from "../../../runtime";
import { formatDayInZone, formatMoment, formatZone } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import { LateReferee } from "../../../ui/references/otherwise.client";
import { ReferenceForm } from "../../../ui/references/reference-form.client";
import { referencePage, requestOfLink } from "../../../views/references/reference-page";
import { locale, see } from "../../request";
import { askTime, begin, decline, give, save } from "./reference.action";

/** The referee's page: one link, one request, no account. It shows the applicant's name and programme and nothing else. */
export default async function ReferencePage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const language = await locale();
  const requestId = await requestOfLink((await webRuntime()).pool, hashToken(token));
  const data = requestId ? await see(referencePage, { kind: "link", requestId }, {}) : null;
  const state = data?.state ?? "ended";
  return (
    <>
      {data && state !== "ended" ? (
        <>
          <h1>{sentence(language, "reference.title", { applicant: data.applicant })}</h1>
          <p>
            {sentence(language, "reference.for", {
              applicant: data.applicant,
              programme: data.programmes.map((p) => p[language]).join(", "),
            })}
          </p>
        </>
      ) : (
        <h1>{sentence(language, "refused.link-ended")}</h1>
      )}
      {data && state === "late" ? (
        <>
          <p>{sentence(language, "reference.late", { date: formatDayInZone(language, data.dueAt, data.zone) })}</p>
          <LateReferee locale={language} moreUntil={data.moreUntil} askTime={askTime.bind(null, token)} />
        </>
      ) : null}
      {state === "ended" ? <p>{sentence(language, "reference.ended")}</p> : null}
      {state === "given" ? <p className="notice">{sentence(language, "reference.given")}</p> : null}
      {state === "declined" ? <p className="notice">{sentence(language, "reference.declined")}</p> : null}
      {data && (state === "asked" || state === "opened") ? (
        <>
          <p>{sentence(language, "reference.due", { date: formatDayInZone(language, data.dueAt, data.zone) })}</p>
          <p className="quiet">
            {sentence(language, "reference.until", { date: formatMoment(language, data.endsAt, data.zone) })} (
            {formatZone(data.zone)})
          </p>
          <ReferenceForm
            token={token}
            begun={state === "opened"}
            locale={language}
            applicant={data.applicant}
            begin={begin.bind(null, token)}
            give={give.bind(null, token)}
            decline={decline.bind(null, token)}
            save={save.bind(null, token)}
            askTime={askTime.bind(null, token)}
            draft={data.draft}
            moreUntil={data.moreUntil}
          />
        </>
      ) : null}
    </>
  );
}
