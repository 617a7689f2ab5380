import Link from "next/link";
import { redirect } from "next/navigation";
import { isTextKey, sentence } from "../../../text/sentence";
import { Comb } from "../../../ui/assessment/comb";
import { myApplications } from "../../../views/application/my-applications";
import { isOffice, locale, requirePerson, see } from "../../request";

export default async function MyPage() {
  const language = await locale();
  const person = await requirePerson("/my");
  if (isOffice(person)) redirect("/office");
  const lines = (await see(myApplications, person.actor, {})) ?? [];
  return (
    <div className="sheet">
      <h1>{sentence(language, "mine.title")}</h1>
      {lines.length === 0 ? (
        <div className="empty">
          <p>{sentence(language, "mine.none")}</p>
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
              <Link href={`/my/${line.number}`}>
                {line.choices.map((c) => `${c.award} ${c.title[language]}`).join(", ")}
              </Link>
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
