import Link from "next/link";
import { redirect } from "next/navigation";
import { programmeName } from "../../../core/catalogue/programme";
import { isTextKey, sentence } from "../../../text/sentence";
import { Comb } from "../../../ui/assessment/comb";
import { myApplications } from "../../../views/application/my-applications";
import { joinedInto } from "../../../views/people/joined-into";
import { isOffice, locale, requirePerson, see } from "../../request";

export default async function MyPage() {
  const language = await locale();
  const person = await requirePerson("/my");
  if (isOffice(person)) redirect("/office");
  const lines = (await see(myApplications, person.actor, {})) ?? [];
  const joined = lines.length === 0 ? await see(joinedInto, person.actor, {}) : null;
  return (
    <div className="sheet">
      <h1>{sentence(language, "mine.title")}</h1>
      {lines.length === 0 ? (
        <div className="empty">
          <p>
            {joined?.account
              ? sentence(language, "mine.joined", { account: joined.account })
              : sentence(language, "mine.none")}
          </p>
          <Link className="press" href="/">
            {sentence(language, "mine.choose")}
          </Link>
        </div>
      ) : null}
      <ul className="mine">
        {lines.map((line) => {
          const key = `stage.${line.stage}`;
          return (
            <li key={line.number}>
              <Link href={`/my/${line.number}`}>{line.choices.map((c) => programmeName(c, language)).join(", ")}</Link>
              <span className="quiet">
                {sentence(language, "mine.number", { number: line.number })} ·{" "}
                {isTextKey(key) ? sentence(language, key) : line.stage}
                {line.owed ? <strong> · {sentence(language, "mine.yours")}</strong> : null}
              </span>
              <Comb text={line.comb} turn={line.turn} words={isTextKey(key) ? sentence(language, key) : line.stage} />
            </li>
          );
        })}
      </ul>
    </div>
  );
}
