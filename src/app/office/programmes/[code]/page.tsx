import Link from "next/link";
import { notFound } from "next/navigation";
import { formatDate, formatMoment } from "../../../../text/format";
import { planGapWords } from "../../../../text/words/office";
import { wallTime } from "../../../../ui/catalogue/drafts";
import { IntakeForm } from "../../../../ui/catalogue/intake-form.client";
import { ProgrammeForm } from "../../../../ui/catalogue/programme-form.client";
import { RoundForm } from "../../../../ui/catalogue/round-form.client";
import { type PlannedIntake, type PlannedRound, type PlansData, plans } from "../../../../views/catalogue/plans";
import { requireStaff, see } from "../../../request";
import { endRound, openAgain, storeIntake, storeProgramme, storeRound } from "../plan.action";

const NEW_ROUND = {
  key: "",
  opensAt: "",
  closings: [],
  rolling: false,
  closesWhenFull: false,
  ifPlacesLeft: false,
  prepareBefore: true,
  promiseDays: 30,
};

function RoundPart({ data, intake, round }: { data: PlansData; intake: PlannedIntake; round: PlannedRound | null }) {
  const known = round && {
    id: round.id,
    version: round.version,
    drafts: round.drafts,
    closed: round.closedAt !== null,
  };
  const first = round
    ? {
        key: round.key,
        opensAt: wallTime(round.opensAt, data.zone),
        closings: round.closings.map((c) => ({ group: c.group, at: wallTime(c.at, data.zone) })),
        rolling: round.rolling,
        closesWhenFull: round.closesWhenFull,
        ifPlacesLeft: round.ifPlacesLeft,
        prepareBefore: round.prepareBefore,
        promiseDays: round.promiseDays,
      }
    : NEW_ROUND;
  return (
    <>
      {round ? (
        <h3>
          Round {round.key}{" "}
          <span className="quiet">
            {round.state}
            {round.closedAt ? ` since ${formatMoment("en", round.closedAt, data.zone)}: ${round.closedReason}` : ""} ·{" "}
            {round.drafts} {round.drafts === 1 ? "draft" : "drafts"}, {round.submitted} submitted
          </span>
        </h3>
      ) : null}
      <RoundForm
        key={round ? `${round.id}-${round.version}` : `new-${intake.rounds.length}`}
        known={known}
        first={first}
        groups={data.groups.map((g) => ({ key: g.key, title: g.title.en }))}
        zone={data.zone}
        mayChange={data.mayChange}
        store={storeRound.bind(null, intake.id)}
        close={round ? endRound.bind(null, round.id) : null}
        reopen={round ? openAgain.bind(null, round.id) : null}
      />
    </>
  );
}

/** One programme whole: what is known of it, its starts and their rounds. */
export default async function ProgrammePlanPage({ params }: { params: Promise<{ code: string }> }) {
  const { code } = await params;
  const person = await requireStaff(`/office/programmes/${code}`, ["officer", "lead officer", "administrator"]);
  const data = await see(plans, person.actor, { code });
  const programme = data?.programmes[0];
  if (!data || !programme) notFound();
  const campuses = data.campuses.map((c) => ({ value: c.key, label: c.title.en }));
  const intakeForm = (intake: PlannedIntake | null) => (
    <IntakeForm
      key={intake ? `${intake.id}-${intake.version}` : `new-${programme.intakes.length}`}
      known={intake}
      cycle={intake?.cycle ?? data.cycles[0] ?? ""}
      programme={programme}
      campuses={campuses}
      mayChange={data.mayChange}
      store={storeIntake.bind(null, code)}
    />
  );
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/programmes">Programmes</Link>
      </p>
      <div className="sheet-head">
        <h1>
          {programme.award} {programme.title.en} <span className="quiet">{code}</span>
        </h1>
        {programme.campuses.length > 1 ? (
          <Link href={`/office/programmes/${code}/sites`}>Who is on which campus</Link>
        ) : null}
        <Link href={`/programmes/${code}`}>As visitors see it</Link>
      </div>
      {programme.interested > 0 ? (
        <p>
          {programme.interested} {programme.interested === 1 ? "person waits" : "people wait"} for its opening and will
          be told.
        </p>
      ) : null}
      {data.mayChange ? null : <p className="quiet">A lead officer can change this; you can read it.</p>}
      {programme.intakes.map((intake) => (
        <section key={intake.id} className="plan-part">
          <h2>
            Start on {formatDate("en", intake.startsOn)}{" "}
            <span className="quiet">
              {intake.accepted} of {intake.places} places accepted
            </span>
          </h2>
          {intake.gaps.length > 0 ? (
            <p className="notice">Before it opens: {intake.gaps.map(planGapWords).join("; ")}.</p>
          ) : null}
          {intakeForm(intake)}
          {intake.rounds.map((round) => (
            <RoundPart key={round.id} data={data} intake={intake} round={round} />
          ))}
          {data.mayChange ? (
            <details className="plan-more">
              <summary>Add a round</summary>
              <RoundPart data={data} intake={intake} round={null} />
            </details>
          ) : null}
        </section>
      ))}
      {data.mayChange ? (
        <details className="plan-more" open={programme.intakes.length === 0}>
          <summary>Add a start</summary>
          {intakeForm(null)}
        </details>
      ) : null}
      <section className="plan-part">
        <h2>What is known of it</h2>
        <ProgrammeForm
          key={programme.version}
          known={programme}
          procedure={programme.procedure}
          procedures={data.procedures.map((p) => ({ value: p.key, label: p.title.en }))}
          campuses={campuses}
          mayChange={data.mayChange}
          store={storeProgramme}
        />
      </section>
    </div>
  );
}
