import Link from "next/link";
import { standsFor } from "../../../../core/catalogue/choice-rules";
import type { ChoiceResult } from "../../../../core/file/result";
import type { ActOnFile } from "../../../../core/file-acts/file-acts";
import { formatDate, formatMoment, formatZone, languageName } from "../../../../text/format";
import { REASON_WORDS } from "../../../../text/words/office";
import { type ChoiceActs, ExtendForm, MoveForm, PlaceForm } from "../../../../ui/application/choice-acts.client";
import { Elsewhere } from "../../../../ui/application/elsewhere.client";
import type { FileData } from "../../../../views/assessment/file-data";

type Choice = FileData["choices"][number];

/** Where a choice stands in time, for the office. */
function standing(data: FileData, choice: Choice, result: ChoiceResult | undefined): string {
  const moment = (instant: string) => formatMoment("en", instant, data.zone);
  if (choice.withdrawnAt) return `withdrawn on ${moment(choice.withdrawnAt)}`;
  if (choice.submittedAt) return `submitted on ${moment(choice.submittedAt)}`;
  if (!result) return "";
  if (result.closedAs) return REASON_WORDS[result.closedAs].toLowerCase();
  return `in preparation, closes ${moment(result.closesAt)} (${formatZone(data.zone)})`;
}

function Facts({ data, choice, result }: { data: FileData; choice: Choice; result: ChoiceResult | undefined }) {
  const facts: readonly (readonly [string, string])[] = [
    ["Start", formatDate("en", choice.start)],
    ["Round", choice.round],
    ["Campus", choice.campus ?? ""],
    ["Taught in", choice.offered.languages.length > 1 ? languageName("en", choice.language) : ""],
    ["Mode", choice.mode ?? ""],
    ["Track", [choice.track, ...choice.otherTracks].flatMap((t) => (t ? [t.en] : [])).join(", then ")],
    ["Own closing", choice.extendedTo ? formatMoment("en", choice.extendedTo, data.zone) : ""],
    ["Eligibility", result?.eligibility ?? ""],
  ];
  return (
    <dl className="pairs">
      {facts
        .filter(([, value]) => value !== "")
        .map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
    </dl>
  );
}

function Rulebook({ data, choice, act }: { data: FileData; choice: Choice; act: ActOnFile }) {
  const { rulebook, newest, may } = choice;
  const older = newest.id !== rulebook.id;
  return (
    <>
      <p>
        Stands on <Link href={`/office/rulebooks/${rulebook.id}`}>version {rulebook.version} of its rulebook</Link>
        {older ? (
          <>
            ; version {newest.version} is published now (
            <Link href={`/office/rulebooks/${newest.id}/changes`}>what differs</Link>).
          </>
        ) : (
          ", the newest."
        )}
      </p>
      {older && may.lead && choice.submittedAt && !choice.withdrawnAt ? (
        <MoveForm choice={choice.id} name={data.name} version={newest.version} act={act} />
      ) : null}
    </>
  );
}

/** What was promised of the order of the choices, and whether the order is still the one that it was given for. */
function Promised({ data }: { data: FileData }) {
  const given = data.undertaking;
  if (!given) return null;
  const order = data.choices.filter((c) => c.withdrawnAt === null).map((c) => c.id);
  return (
    <section>
      <h2>Promised of this order</h2>
      <p className="measure">“{given.text}”</p>
      <p className="quiet">
        On {formatMoment("en", given.at, data.zone)}, for {given.choices.map((c) => c.code).join(", then ")}.{" "}
        {standsFor(
          given.choices.map((c) => c.id),
          order,
        )
          ? null
          : "The order has changed since; the promise for this one is still to be given."}
      </p>
    </section>
  );
}

/** Every choice of the file: its place in time, what was chosen with it, the rulebook it stands on, and what the office may do. */
export function Choices({ data, acts }: { data: FileData; acts: ChoiceActs }) {
  return (
    <div className="office-form">
      <Promised data={data} />
      {data.choices.map((choice, i) => {
        const result = data.assessment.choices.find((c) => c.id === choice.id);
        return (
          <section key={choice.id}>
            <h2>
              {i + 1}. {choice.code} {choice.award} {choice.title.en}{" "}
              <span className="quiet">{standing(data, choice, result)}</span>
            </h2>
            <Facts data={data} choice={choice} result={result} />
            <Rulebook data={data} choice={choice} act={acts.act} />
            {choice.may.work && choice.submittedAt && !choice.withdrawnAt && !choice.decision ? (
              <PlaceForm
                choice={choice.id}
                name={data.name || "the applicant"}
                offered={choice.offered}
                act={acts.act}
              />
            ) : null}
            {choice.may.work && choice.submittedAt && !choice.withdrawnAt && !choice.decision ? (
              <Elsewhere
                key={`${choice.rulebook.id} ${choice.offered.now.track}`}
                choice={choice.id}
                now={choice.offered.now}
                name={data.name || "the applicant"}
                act={acts.act}
                look={acts.look}
              />
            ) : null}
            {choice.submittedAt || choice.withdrawnAt ? null : (
              <ExtendForm
                choice={choice.id}
                name={data.name || "the applicant"}
                zone={data.zone}
                closesAt={result?.closesAt ?? data.now}
                extend={acts.extend}
              />
            )}
          </section>
        );
      })}
    </div>
  );
}
