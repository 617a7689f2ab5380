import { hashToken } from "../../../acts/act/token";
import { webRuntime } from "../../../runtime";
import { formatMoment, formatZone } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import { SignForm } from "../../../ui/evidence/sign-form.client";
import { signatureOfLink, signaturePage } from "../../../views/evidence/signature-page";
import { locale, see } from "../../request";
import { decline, sign } from "./sign.action";

/** The page of somebody who is asked to sign: one link, one sentence, no account. */
export default async function SignPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const language = await locale();
  const requestId = await signatureOfLink((await webRuntime()).pool, hashToken(token));
  const data = requestId ? await see(signaturePage, { kind: "link", requestId }, {}) : null;
  const state = data?.state ?? "ended";
  return (
    <>
      {data && state !== "ended" ? (
        <>
          <h1>{data.title[language]}</h1>
          <p>
            {sentence(language, state === "asked" ? "sign.for" : "sign.about", {
              applicant: data.applicant,
              programme: data.programmes.map((p) => p[language]).join(", "),
            })}
          </p>
        </>
      ) : (
        <>
          <h1>{sentence(language, "refused.link-ended")}</h1>
          <p>{sentence(language, "sign.ended")}</p>
        </>
      )}
      {state === "signed" ? <p className="notice">{sentence(language, "sign.signed")}</p> : null}
      {state === "declined" ? <p className="notice">{sentence(language, "sign.declined")}</p> : null}
      {data && state === "asked" ? (
        <>
          <blockquote className="to-sign">{data.sentence[language]}</blockquote>
          <SignForm
            locale={language}
            name={data.name}
            applicant={data.applicant}
            sign={sign.bind(null, token)}
            decline={decline.bind(null, token)}
          />
          <p className="quiet">
            {sentence(language, "reference.until", { date: formatMoment(language, data.endsAt, data.zone) })} (
            {formatZone(data.zone)})
          </p>
        </>
      ) : null}
    </>
  );
}
