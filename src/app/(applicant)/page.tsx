import Link from "next/link";
import { say } from "../../text/say";
import { ProgrammeFacts, programmeName } from "../../ui/programme";
import { finder } from "../../views/finder";
import { locale, see, VISITOR } from "../request";

/** The programmes that take applications, with the deadlines of each group on the office's clock and the reader's. */
export default async function HomePage() {
  const language = await locale();
  const data = await see(finder, VISITOR, {});
  const hits = data?.hits ?? [];
  return (
    <div className="sheet">
      <h1>{say(language, "home.title")}</h1>
      <p className="measure quiet">{say(language, "home.intro")}</p>
      {data && hits.length > 0 ? (
        hits.map((hit) => (
          <article className="programme" key={hit.roundId}>
            <h2>{programmeName(hit, language)}</h2>
            <ProgrammeFacts hit={hit} zone={data.zone} language={language} />
            {hit.state === "closed" ? null : (
              <Link className="press" href={`/apply/${hit.roundId}`} prefetch={false}>
                {say(language, "home.apply")}
              </Link>
            )}
          </article>
        ))
      ) : (
        <p className="empty">{say(language, "home.none")}</p>
      )}
    </div>
  );
}
