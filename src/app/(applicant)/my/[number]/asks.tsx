import Link from "next/link";
import { requirementKey, resultKey } from "../../../../core/file/place";
import type { Locale } from "../../../../core/text/local-text";
import { formatDate, formatMoment } from "../../../../text/format";
import { sentence } from "../../../../text/sentence";
import { reasonText } from "../../../../text/words/return-reasons";
import { requirementHref } from "../../../../ui/application/addresses";
import { AnswerAsk } from "../../../../ui/asks/answer-ask.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { answerQuestion } from "./application.action";

/** What the office asks for, in one list, each answered where it stands or on the page to which it leads. */
export function Asks({ application, language }: { application: MyApplication; language: Locale }) {
  if (application.asks.length === 0) return null;
  return (
    <section className="asks">
      <h2>{sentence(language, "app.asked")}</h2>
      <ul>
        {application.asks.map((ask) => {
          const result = application.assessment.requirements.find((r) => resultKey(r) === requirementKey(ask));
          const title = result?.title[language] ?? (ask.requirement || sentence(language, "ask.question"));
          const code = result?.kind === "document" ? result.reason : null;
          const reason = ask.wants === "evidence" ? reasonText(language, code, application.returnWords) : "";
          return (
            <li key={ask.id}>
              {ask.wants === "words" ? (
                <span className="strong">{title}</span>
              ) : (
                <Link
                  href={result ? requirementHref(application.number, result) : `/my/${application.number}/documents`}
                >
                  {title}
                </Link>
              )}{" "}
              {ask.answeredAt === null ? (
                <span className="quiet">
                  {sentence(language, "app.askedUntil", { date: formatDate(language, ask.due) })}
                </span>
              ) : null}
              <p className="letter">
                {reason ? `${reason} ` : ""}
                {ask.text}
              </p>
              {ask.answeredAt !== null ? (
                <p className="letter quiet">
                  {sentence(language, "ask.sent", {
                    when: formatMoment(language, ask.answeredAt, application.zone),
                    answer: ask.answer ?? "",
                  })}
                </p>
              ) : ask.wants === "words" ? (
                <AnswerAsk
                  id={ask.id}
                  locale={language}
                  send={answerQuestion.bind(null, application.number, application.id, ask.id)}
                />
              ) : null}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
