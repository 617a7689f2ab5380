import Link from "next/link";
import { notFound } from "next/navigation";
import { programmeName } from "../../../../../core/catalogue/programme";
import { sentence } from "../../../../../text/sentence";
import { SelfCheck } from "../../../../../ui/catalogue/finder/self-check.client";
import { finder } from "../../../../../views/catalogue/finder";
import { selfCheck } from "../../../../../views/form/self-check";
import { locale, see, VISITOR } from "../../../../request";
import { answerCheck } from "./check.action";

/** "Can I apply?": the real entry rules over what a visitor enters, without an account. */
export default async function CheckPage({ params }: { params: Promise<{ code: string }> }) {
  const { code } = await params;
  const language = await locale();
  const [data, found] = await Promise.all([see(selfCheck, VISITOR, { code }), see(finder, VISITOR, { code })]);
  if (!data) notFound();
  const round = found?.hits[0]?.round;
  const takes = round && (round.state === "open" || (round.state === "coming" && round.prepareBefore));
  return (
    <div className="sheet">
      <p>
        <Link href={`/programmes/${code}`}>{programmeName(data, language)}</Link>
      </p>
      <h1>{sentence(language, "check.title", { programme: programmeName(data, language) })}</h1>
      <p className="measure quiet">{sentence(language, "check.intro")}</p>
      <SelfCheck first={data} locale={language} apply={takes ? `/apply/${round.roundId}` : null} answer={answerCheck} />
    </div>
  );
}
