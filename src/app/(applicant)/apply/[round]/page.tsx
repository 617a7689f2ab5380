import Link from "next/link";
import { notFound, redirect } from "next/navigation";
import { programmeName } from "../../../../core/catalogue/programme";
import { formatMoment, languageName } from "../../../../text/format";
import { isTextKey, sentence } from "../../../../text/sentence";
import { choiceRefusalText, choiceRuleLines } from "../../../../text/words/choice-rules";
import { CarryAnswers } from "../../../../ui/catalogue/finder/carry-answers.client";
import { ProgrammeFacts } from "../../../../ui/catalogue/programme";
import { applyOffer } from "../../../../views/application/apply-offer";
import { askedFor } from "../../../../views/catalogue/asked-for";
import { isOffice, locale, requirePerson, see } from "../../../request";
import { begin } from "./begin.action";

function Options({
  name,
  label,
  options,
}: {
  name: string;
  label: string;
  options: readonly { readonly value: string; readonly label: string }[];
}) {
  const [only] = options;
  if (!only) return null;
  // A single option needs no answer.
  if (options.length === 1) return <input type="hidden" name={name} value={only.value} />;
  return (
    <fieldset className="options">
      <legend>{label}</legend>
      {options.map((o, i) => (
        <label key={o.value} className="tick">
          <input type="radio" name={name} value={o.value} defaultChecked={i === 0} /> {o.label}
        </label>
      ))}
    </fieldset>
  );
}

/** Chooses a programme: one press opens the application, or adds the programme to the one that is there. */
export default async function ApplyPage({
  params,
  searchParams,
}: {
  params: Promise<{ round: string }>;
  searchParams: Promise<{ refused?: string }>;
}) {
  const { round: roundId } = await params;
  const { refused } = await searchParams;
  const language = await locale();
  const person = await requirePerson(`/apply/${roundId}`);
  if (isOffice(person)) redirect("/office");
  const data = await see(applyOffer, person.actor, { roundId });
  const asked = data && (await see(askedFor, person.actor, { code: data.hit.code, start: data.hit.startsOn }));
  if (!data || !asked) notFound();
  const { hit, round, existing, refusal } = data;
  const refusedKey = `refused.${refused ?? ""}`;
  const open = round.state === "open" || (round.state === "coming" && round.prepareBefore);
  return (
    <div className="sheet">
      <h1>{sentence(language, "apply.title", { programme: programmeName(hit, language) })}</h1>
      {refused ? (
        <p role="alert" className="wrong">
          {isTextKey(refusedKey) ? sentence(language, refusedKey) : sentence(language, "refused.round-closed")}
        </p>
      ) : null}
      <ProgrammeFacts
        hit={hit}
        round={round}
        zone={data.zone}
        language={language}
        office={data.office[language]}
        asked={asked}
      />
      <p className="quiet">{choiceRuleLines(language, hit.procedure).join(" ")}</p>
      {open && refusal === null ? (
        <form action={begin} className="begin">
          {existing ? (
            <p className="measure">
              {sentence(language, "apply.adds", {
                number: existing.number,
                programmes: existing.programmes.join(", "),
              })}
            </p>
          ) : (
            <p className="measure">{sentence(language, "apply.intro")}</p>
          )}
          {round.state === "coming" ? <p>{sentence(language, "finder.prepare")}</p> : null}
          <input type="hidden" name="round" value={roundId} />
          <Options
            name="track"
            label={sentence(language, "apply.track")}
            options={hit.tracks.map((k) => ({
              value: k.key,
              label: k.note ? `${k.title[language]} (${k.note[language]})` : k.title[language],
            }))}
          />
          <Options
            name="campus"
            label={sentence(language, "apply.campus")}
            options={hit.campuses.map((c) => ({ value: c.key, label: c.title[language] }))}
          />
          <Options
            name="language"
            label={sentence(language, "apply.language")}
            options={hit.languages.map((l) => ({ value: l, label: languageName(language, l) }))}
          />
          <Options
            name="mode"
            label={sentence(language, "apply.mode")}
            options={hit.modes.map((m) => ({ value: m, label: sentence(language, `mode.${m}`) }))}
          />
          <CarryAnswers code={hit.code} />
          <button type="submit" className="press">
            {sentence(language, existing ? "apply.add" : "apply.begin")}
          </button>
        </form>
      ) : null}
      {open && refusal ? (
        <p role="alert" className="notice">
          {choiceRefusalText(language, refusal)}
        </p>
      ) : null}
      {round.state === "coming" && !round.prepareBefore ? (
        <p>{sentence(language, "apply.later", { when: formatMoment(language, round.opensAt, data.zone) })}</p>
      ) : null}
      <p>
        <Link href="/my">{sentence(language, "nav.mine")}</Link>
      </p>
    </div>
  );
}
