import Link from "next/link";
import { redirect } from "next/navigation";
import { say } from "../../../../text/say";
import { isOffice, locale, requirePerson } from "../../../request";
import { begin } from "./begin.action";

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
  return (
    <div className="sheet narrow">
      <h1>{say(language, "home.apply")}</h1>
      {refused ? (
        <p role="alert" className="wrong">
          {say(
            language,
            refused === "already-applied"
              ? "refused.already-applied"
              : refused === "too-many-choices"
                ? "refused.too-many-choices"
                : "refused.round-closed",
          )}
        </p>
      ) : null}
      <form action={begin}>
        <input type="hidden" name="round" value={round} />
        <button type="submit" className="press">
          {say(language, "home.apply")}
        </button>
      </form>
      <p>
        <Link href="/my">{say(language, "nav.mine")}</Link>
      </p>
    </div>
  );
}
