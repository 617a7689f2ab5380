import Link from "next/link";
import { notFound } from "next/navigation";
import { programmeName } from "../../../../core/catalogue/programme";
import { sentence } from "../../../../text/sentence";
import { choiceRuleLines } from "../../../../text/words/choice-rules";
import { fieldName } from "../../../../text/words/code-lists";
import { FeeList, NeedList } from "../../../../ui/catalogue/asked-for";
import { ClosedNote } from "../../../../ui/catalogue/finder/closed-note";
import { AlikeNotes } from "../../../../ui/catalogue/finder/hit";
import { personString, readQuery, type SearchParams } from "../../../../ui/catalogue/finder/query";
import { Deadlines, programmeLine, ResultsDue, ZoneNote } from "../../../../ui/catalogue/programme";
import { AcceptedList } from "../../../../ui/form/accepted-list";
import { AccountForm } from "../../../../ui/people/account-form.client";
import { closedToMe } from "../../../../views/application/closed-to-me";
import { askedFor } from "../../../../views/catalogue/asked-for";
import { finder } from "../../../../views/catalogue/finder";
import { decisionTimes } from "../../../../views/figures/clocks";
import { identity, locale, see, VISITOR } from "../../../request";
import { noteInterestAction } from "../../interest/interest.action";

/** One programme, whole: from the one source that the form, the list and the letters use, too. */
export default async function ProgrammePage({
  params,
  searchParams,
}: {
  params: Promise<{ code: string }>;
  searchParams: Promise<SearchParams>;
}) {
  const { code } = await params;
  const query = readQuery(await searchParams);
  const language = await locale();
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  const data = await see(finder, VISITOR, { code, citizenships: [...query.citizenships], residence: query.residence });
  const hit = data?.hits[0];
  const asked = hit && (await see(askedFor, VISITOR, { code: hit.code, start: hit.startsOn }));
  if (!data || !hit || !asked) notFound();
  const { times } = (await see(decisionTimes, VISITOR, { code: hit.code })) ?? { times: null };
  const person = personString(query);
  const signedIn = await identity();
  const closed = signedIn ? ((await see(closedToMe, signedIn.actor, {})) ?? []) : [];
  return (
    <div className="sheet programme-page">
      <p>
        <Link href={`/${person}`}>{t("finder.back")}</Link>
      </p>
      <h1>{programmeName(hit, language)}</h1>
      <p className="quiet">
        {hit.code} · {programmeLine(hit, language)}
      </p>
      {hit.partner ? (
        <p>{sentence(language, "finder.partner", { partner: hit.partner, office: data.office[language] })}</p>
      ) : null}
      <p className="measure lead">{hit.description[language]}</p>
      <ClosedNote closed={closed.find((c) => c.code === hit.code)} language={language} />
      <AlikeNotes hit={hit} language={language} />
      {hit.withoutVisa ? <p className="notice">{t("finder.noVisa")}</p> : null}
      <ResultsDue hit={hit} language={language} />
      <section>
        <h2>{t("programme.rounds")}</h2>
        {data.group ? (
          <p className="quiet">{sentence(language, "finder.group", { group: data.group.title[language] })}</p>
        ) : null}
        <p>
          <ZoneNote zone={data.zone} language={language} />
        </p>
        {hit.rounds.map((round) => (
          <div key={round.roundId} className="round" data-state={round.state}>
            <p>
              <strong>{sentence(language, `finder.state.${round.state}`)}</strong>
              {hit.rounds.length > 1 ? ` · ${sentence(language, "finder.round", { key: round.key })}` : ""}
            </p>
            <Deadlines round={round} zone={data.zone} language={language} />
            <p className="quiet">{sentence(language, "finder.promise", { days: round.promiseDays })}</p>
            {round.state === "coming" ? <p>{t(round.prepareBefore ? "finder.prepare" : "finder.noPrepare")}</p> : null}
            {round.state === "open" || (round.state === "coming" && round.prepareBefore) ? (
              <Link className="press" href={`/apply/${round.roundId}`} prefetch={false}>
                {t("home.apply")}
              </Link>
            ) : null}
          </div>
        ))}
        {times ? (
          <p>{sentence(language, "programme.times", { count: times.count, half: times.half, nine: times.nine })}</p>
        ) : null}
        {hit.rounds.some((r) => r.state === "open") ? null : (
          <section className="interest">
            <h3>{t("interest.title")}</h3>
            <AccountForm
              unavailable={t("account.unavailable")}
              action={noteInterestAction}
              intro={t("interest.intro")}
              hidden={{ code: hit.code }}
              submit={t("interest.note")}
              fields={[{ name: "email", kind: "email", label: t("interest.email"), autoComplete: "email" }]}
              problems={{ badEmail: { text: t("interest.badEmail"), field: "email" } }}
              done={<p>{t("interest.noted")}</p>}
            />
          </section>
        )}
        <p>
          <Link className="plain-button" href={`/programmes/${hit.code}/check`} prefetch={false}>
            {t("programme.check")}
          </Link>{" "}
          <span className="quiet">{t("programme.checkHelp")}</span>
        </p>
      </section>
      {hit.prerequisites ? (
        <section>
          <h2>{t("programme.prerequisites")}</h2>
          <p className="measure">{hit.prerequisites[language]}</p>
        </section>
      ) : null}
      <section>
        <h2>{t("programme.needs")}</h2>
        <NeedList needs={asked.needs} language={language} />
      </section>
      <section>
        <h2>{t("programme.fees")}</h2>
        <FeeList fees={asked.fees} language={language} />
      </section>
      <section>
        <h2>{t("programme.rules")}</h2>
        <ul className="dashes">
          {hit.rules.map((rule) => (
            <li key={rule.en}>{rule[language]}</li>
          ))}
        </ul>
        {hit.accepted.map((list) => (
          <AcceptedList key={list.key} list={list} language={language} />
        ))}
      </section>
      <section>
        <h2>{t("programme.facts")}</h2>
        <dl className="pairs">
          <div>
            <dt>{t("finder.field")}</dt>
            <dd>{hit.fields.map((f) => fieldName(language, f)).join(", ")}</dd>
          </div>
          <div>
            <dt>{t("finder.campus")}</dt>
            <dd>
              {hit.campuses
                .map((c) => (c.note ? `${c.title[language]}, ${c.note[language]}` : c.title[language]))
                .join("; ")}
            </dd>
          </div>
          {hit.tracks.length > 0 ? (
            <div>
              <dt>{t("apply.track")}</dt>
              <dd>
                {hit.tracks
                  .map((k) => (k.note ? `${k.title[language]} (${k.note[language]})` : k.title[language]))
                  .join("; ")}
              </dd>
            </div>
          ) : null}
          <div>
            <dt>{t("programme.choices")}</dt>
            <dd>{choiceRuleLines(language, hit.procedure).join(" ")}</dd>
          </div>
          {hit.contact ? (
            <div>
              <dt>{t("programme.contact")}</dt>
              <dd>
                {hit.contact.name}, <a href={`mailto:${hit.contact.email}`}>{hit.contact.email}</a>
                {hit.contact.phone ? `, ${hit.contact.phone}` : ""}
              </dd>
            </div>
          ) : null}
        </dl>
      </section>
    </div>
  );
}
