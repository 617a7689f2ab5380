import { programmeName } from "../../../../core/catalogue/programme";
import type { Locale } from "../../../../core/text/local-text";
import type { Milestone, Schedule } from "../../../../core/turns/schedule";
import { formatDate } from "../../../../text/format";
import { sentence } from "../../../../text/sentence";
import { TurnDays } from "../../../../ui/turns/turn-days";
import type { MyApplication } from "../../../../views/application/application-data";

/** By when something is to be expected, in words; a day where one can be named. */
function expected({ kind, day, within }: Milestone, { standsStill }: Schedule, language: Locale): string {
  if (day !== null)
    return kind === "start"
      ? formatDate(language, day)
      : sentence(language, "schedule.by", { day: formatDate(language, day) });
  if (kind === "complete") return sentence(language, "schedule.complete.open");
  const days = within ?? 0;
  if (kind === "answer") return sentence(language, "schedule.answer.within", { days });
  return sentence(language, standsStill ? "schedule.decision.still" : "schedule.decision.within", { days });
}

function Milestones({ schedule, language }: { schedule: Schedule; language: Locale }) {
  return (
    <ol className="milestones">
      {schedule.milestones.map((m) => (
        <li key={m.kind} data-state={m.state} aria-current={m.state === "next" ? "step" : undefined}>
          <span className="strong">{sentence(language, `schedule.${m.kind}`)}</span>
          <span className="quiet">
            {m.state === "past" ? formatDate(language, m.day ?? "") : expected(m, schedule, language)}
            {m.kind === "decision" && m.state !== "past" && schedule.moved ? (
              <span className="note">
                {sentence(language, "schedule.moved", {
                  day: formatDate(language, schedule.moved.from),
                  days: schedule.moved.days,
                })}
              </span>
            ) : null}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** What an applicant can expect, and when, of each programme that they applied for; and with whom the time went. */
export function WhatComesWhen({ application, language }: { application: MyApplication; language: Locale }) {
  const { schedules, spent, choices } = application;
  if (schedules.length === 0) return null;
  return (
    <section>
      <h2>{sentence(language, "schedule.title")}</h2>
      {schedules.map((schedule) => {
        const choice = choices.find((c) => c.id === schedule.choice);
        return (
          <div key={schedule.choice}>
            {schedules.length > 1 && choice ? <h3>{programmeName(choice, language)}</h3> : null}
            <Milestones schedule={schedule} language={language} />
          </div>
        );
      })}
      {spent ? <TurnDays spent={spent} locale={language} /> : null}
    </section>
  );
}
