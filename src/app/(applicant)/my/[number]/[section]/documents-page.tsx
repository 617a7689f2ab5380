import type { DocumentResult } from "../../../../../core/file/result";
import { PROOF_LEVELS, type ProofLevel } from "../../../../../core/rulebook/requirement";
import { DEFAULT_MOST_BYTES } from "../../../../../core/rulebook/takes";
import type { Locale } from "../../../../../core/text/local-text";
import { formatBytes, formatDate, formatDayInZone } from "../../../../../text/format";
import { sentence } from "../../../../../text/sentence";
import { reasonText } from "../../../../../text/words/return-reasons";
import { standingWord } from "../../../../../text/words/standing";
import { languagesSentence, takenSentence } from "../../../../../text/words/taken";
import { CombBar } from "../../../../../ui/assessment/comb";
import { SignerBox } from "../../../../../ui/evidence/signer-box";
import { UploadBox } from "../../../../../ui/evidence/upload-box.client";
import { AnnouncePaper } from "../../../../../ui/post/announce-paper.client";
import type { MyApplication } from "../../../../../views/application/application-data";
import { announce, askSignature, takeOutDocument, unannounce } from "../application.action";

/** What an upload alone does not prove: at once, and by a later moment. */
function ProofNeeded({
  result,
  language,
}: {
  result: Pick<DocumentResult, "proof" | "owedProof" | "standing">;
  language: Locale;
}) {
  const { proof, owedProof, standing } = result;
  const now = PROOF_LEVELS.indexOf(proof) > PROOF_LEVELS.indexOf("copy") && standing !== "accepted";
  if (!now && !owedProof) return null;
  const word = (level: ProofLevel) => sentence(language, `proof.${level}`);
  return (
    <p className="quiet">
      {now
        ? sentence(language, proof === "from the issuer" ? "proof.byIssuer" : "proof.needed", { proof: word(proof) })
        : null}{" "}
      {owedProof
        ? sentence(language, "proof.later", { proof: word(owedProof.level), moment: owedProof.neededBy })
        : null}
    </p>
  );
}

/** Which files are taken, and in which languages, where the rulebook says so. */
function Taken({ document, language }: { document: MyApplication["documents"][number]; language: Locale }) {
  const words = [
    takenSentence(language, document.takes),
    document.languages ? languagesSentence(language, document.languages) : "",
  ].filter(Boolean);
  return words.length > 0 ? <p className="quiet">{words.join(" ")}</p> : null;
}

/** Every document that the rulebook asks for, with what was supplied and what was sent back. */
export function DocumentsPage({ application, language }: { application: MyApplication; language: Locale }) {
  return (
    <>
      <h2 className="page-title">{sentence(language, "doc.title")}</h2>
      <p className="quiet">{sentence(language, "doc.drop", { size: formatBytes(language, DEFAULT_MOST_BYTES) })}</p>
      {application.documents.map((document) => {
        const result = application.assessment.requirements.find(
          (r) => r.key === document.requirement && r.scope === document.scope && r.entry === document.entry,
        );
        if (result?.kind !== "document" || result.standing === "not needed") return null;
        const ask = application.asks.find(
          (a) => a.requirement === document.requirement && a.entry === document.entry && a.scope === document.scope,
        );
        const reason = reasonText(language, result.reason, application.returnWords) || result.reason;
        return (
          <section
            key={`${document.scope}-${document.requirement}-${document.entry}`}
            id={`${document.requirement}-${document.entry}`}
            className="document"
            aria-label={result.title[language]}
          >
            <h3>
              <span className="comb" data-turn="applicant">
                <CombBar standing={result.standing} holds={result.standing === "returned"} large />
              </span>
              <span>
                {result.title[language]}
                {document.entryTitle ? <span className="quiet"> · {document.entryTitle}</span> : null}
              </span>
              <span className="quiet standing">
                {standingWord(language, result, application.assessment.file.stage)}
              </span>
            </h3>
            {document.help ? <p className="quiet">{document.help[language]}</p> : null}
            <Taken document={document} language={language} />
            {document.governsName ? <p className="quiet">{sentence(language, "doc.governsName")}</p> : null}
            <ProofNeeded result={result} language={language} />
            {document.open && result.standing !== "returned"
              ? document.fails.map((check) => (
                  <p key={check.en} className="notice">
                    {sentence(language, "doc.fails", { check: check[language] })}
                  </p>
                ))
              : null}
            {document.templates.map((t) => (
              <p key={t.sha256}>
                {sentence(language, "doc.template")}{" "}
                <a href={`/api/templates/${t.sha256}`} download>
                  {t.name}
                </a>
              </p>
            ))}
            {result.standing === "returned" ? (
              <p className="notice">
                {reason} {ask?.text}{" "}
                {ask ? sentence(language, "app.askedUntil", { date: formatDate(language, ask.due) }) : null}
              </p>
            ) : null}
            {document.signer ? (
              <SignerBox
                zone={application.zone}
                signer={document.signer}
                open={document.open && !["accepted", "to check", "excused"].includes(result.standing)}
                locale={language}
                ask={askSignature.bind(null, application.number, application.id, document.requirement)}
              />
            ) : null}
            {document.papers.map((p) => (
              <p key={p.cameOn} className="quiet">
                {sentence(language, "paper.here", { date: formatDate(language, p.cameOn) })}{" "}
                {p.sentBackAt
                  ? sentence(language, "paper.back", {
                      date: formatDayInZone(language, p.sentBackAt, application.zone),
                    })
                  : ""}
              </p>
            ))}
            {document.mayAnnounce || document.announced ? (
              <AnnouncePaper
                id={`${document.requirement}-${document.entry}`}
                locale={language}
                announced={document.announced}
                say={announce.bind(null, application.number, application.id, {
                  requirement: document.requirement,
                  scope: document.scope,
                  entry: document.entry,
                })}
                drop={unannounce.bind(null, application.number, application.id, {
                  requirement: document.requirement,
                  scope: document.scope,
                  entry: document.entry,
                })}
              />
            ) : null}
            <UploadBox
              applicationId={application.id}
              requirement={document.requirement}
              scope={document.scope}
              entry={document.entry}
              open={document.open}
              locale={language}
              title={result.title[language]}
              picture={document.picture}
              takes={document.takes}
              supplied={document.supplied.map((s) => ({
                ...s,
                pagesText: sentence(language, "doc.pages", { pages: s.lastPage - s.firstPage + 1 }),
                sizeText: formatBytes(language, s.size),
              }))}
              remove={takeOutDocument.bind(null, application.number, application.id)}
            />
          </section>
        );
      })}
    </>
  );
}
