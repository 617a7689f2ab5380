import Link from "next/link";
import { notFound, redirect } from "next/navigation";
import { say } from "../../../../text/say";
import { ProgrammeFacts, programmeName } from "../../../../ui/programme";
import { finder } from "../../../../views/finder";
import { isOffice, locale, requirePerson, see, VISITOR } from "../../../request";
import { begin } from "./begin.action";

const REFUSALS = ["already-applied", "too-many-choices"] as const;

/** Chooses a programme: one press opens the application, or adds the programme to the one that is there. */
export default async function ApplyPage({
  params,
  searchParams,
}: {
  params: Promise<{ round: string }>;
  searchParams: Promise<{ refused?: string }>;
}) {
  const { round } = await params;
  const { refused } = await searchParams;
  const language = await locale();
  const person = await requirePerson(`/apply/${round}`);
  if (isOffice(person)) redirect("/office");
  const data = await see(finder, VISITOR, {});
  const hit = data?.hits.find((h) => h.roundId === round);
  if (!data || !hit) notFound();
  return (
    <div className="sheet">
      <h1>{say(language, "apply.title", { programme: programmeName(hit, language) })}</h1>
      {refused ? (
        <p role="alert" className="wrong">
          {say(language, `refused.${REFUSALS.find((known) => known === refused) ?? "round-closed"}`)}
        </p>
      ) : null}
      <ProgrammeFacts hit={hit} zone={data.zone} language={language} />
      {hit.state === "closed" ? null : (
        <form action={begin}>
          <p className="measure">{say(language, "apply.intro")}</p>
          <input type="hidden" name="round" value={round} />
          <button type="submit" className="press">
            {say(language, "apply.begin")}
          </button>
        </form>
      )}
      <p>
        <Link href="/my">{say(language, "nav.mine")}</Link>
      </p>
    </div>
  );
}
