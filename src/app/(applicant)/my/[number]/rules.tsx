import type { Locale } from "../../../../core/text/local-text";
import { say } from "../../../../text/say";
import { localTitles } from "../../../../text/trace";
import { TraceTree } from "../../../../ui/trace-tree";
import type { MyApplication } from "../../../../views/my-application";

/** How the entry rules stand that the office lets applicants see, with the numbers behind them. */
export function Rules({ application, language }: { application: MyApplication; language: Locale }) {
  const titles = localTitles(application.factTitles, language);
  const told = application.assessment.choices.filter((c) => c.findings.length > 0 && c.stage !== "closed");
  return told.map((choice) => {
    const programme = application.choices.find((c) => c.id === choice.id);
    return (
      <section key={choice.id} className="told-rules">
        <h2>
          {say(language, "app.rules")} ·{" "}
          {programme ? `${programme.award} ${programme.title[language]}` : choice.programme}
        </h2>
        <p className="quiet">{say(language, "app.rulesNote")}</p>
        {choice.findings.map((f) => (
          <details key={f.key} className="finding" data-finding={f.finding}>
            <summary>
              <strong>{say(language, `check.finding.${f.finding}`)}</strong> · {f.title[language]}{" "}
              <span className="quiet">
                {say(language, f.basis === "confirmed" ? "app.ruleConfirmed" : "app.ruleClaimed")}
              </span>
            </summary>
            {f.trace.leaf || f.trace.parts ? (
              <ul className="trace">
                <TraceTree trace={f.trace} titles={titles} locale={language} marksClaims={false} />
              </ul>
            ) : null}
            {f.way ? <p className="quiet">{say(language, "app.ruleWay", { way: f.way[language] })}</p> : null}
          </details>
        ))}
      </section>
    );
  });
}
