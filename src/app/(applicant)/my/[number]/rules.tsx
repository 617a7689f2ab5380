import type { ApplicantFinding } from "../../../../core/assessment/applicants-share";
import { programmeName } from "../../../../core/catalogue/programme";
import type { Locale } from "../../../../core/text/local-text";
import { sentence } from "../../../../text/sentence";
import { localTitles } from "../../../../text/words/trace";
import { TraceTree } from "../../../../ui/assessment/trace-tree";
import type { MyApplication } from "../../../../views/application/application-data";

/** One rule as it stands, with the numbers behind it. */
export function ToldFinding({
  finding,
  application,
  language,
}: {
  finding: ApplicantFinding;
  application: MyApplication;
  language: Locale;
}) {
  const { trace, way } = finding;
  return (
    <details className="finding" data-finding={finding.finding}>
      <summary>
        <strong>{sentence(language, `check.finding.${finding.finding}`)}</strong> · {finding.title[language]}{" "}
        <span className="quiet">
          {sentence(
            language,
            trace === null
              ? "app.ruleDecided"
              : finding.basis === "confirmed"
                ? "app.ruleConfirmed"
                : "app.ruleClaimed",
          )}
        </span>
      </summary>
      {trace ? (
        <ul className="trace">
          <TraceTree
            trace={trace}
            titles={localTitles(application.factTitles, language)}
            locale={language}
            marksClaims={false}
          />
        </ul>
      ) : (
        <p className="quiet">{sentence(language, "app.ruleDecidedNote")}</p>
      )}
      {way ? <p className="quiet">{sentence(language, "app.ruleWay", { way: way[language] })}</p> : null}
    </details>
  );
}

/** How the entry rules stand that the office lets applicants see, with the numbers behind them. */
export function Rules({ application, language }: { application: MyApplication; language: Locale }) {
  const told = application.assessment.choices.filter(
    (c) => c.findings.length > 0 && c.stage !== "closed" && c.stage !== "preparing",
  );
  return told.map((choice) => {
    const programme = application.choices.find((c) => c.id === choice.id);
    return (
      <section key={choice.id} className="told-rules">
        <h2>
          {sentence(language, "app.rules")} · {programme ? programmeName(programme, language) : choice.programme}
        </h2>
        <p className="quiet">{sentence(language, "app.rulesNote")}</p>
        {choice.findings.map((f) => (
          <ToldFinding key={f.key} finding={f} application={application} language={language} />
        ))}
      </section>
    );
  });
}
