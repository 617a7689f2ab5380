import { notFound } from "next/navigation";
import { fold } from "../../../../core/people/fold";
import { holds, OFFICE } from "../../../../core/rights/actor";
import { CheckRun } from "../../../../ui/checks/check-run.client";
import { checkRunOf } from "../../../../views/checks/checks";
import { requireStaff, see } from "../../../request";
import { actOnFile } from "../../files/[number]/file.action";
import { itemOf, leaveItem, leaveRun, nextItem, takeUp } from "../checks.action";

/** One kind of evidence, file after file: the document, the claim and the acts, and nothing else. */
export default async function CheckRunPage({
  params,
  searchParams,
}: {
  params: Promise<{ requirement: string }>;
  searchParams: Promise<{ institution?: string }>;
}) {
  const [asked, { institution = "" }] = await Promise.all([params, searchParams]);
  const requirement = decodeURIComponent(asked.requirement).slice(0, 60);
  const person = await requireStaff(`/office/checks/${asked.requirement}`, OFFICE);
  const of = fold(institution).slice(0, 200);
  const run = await see(checkRunOf, person.actor, { requirement, institution: of });
  if (!run) notFound();
  return (
    <CheckRun
      key={`${requirement} ${of}`}
      requirement={requirement}
      institution={of}
      run={run}
      lead={holds(person.actor, ["lead officer"])}
      ways={{ next: nextItem, again: itemOf, later: leaveItem, takeUp, leave: leaveRun, act: actOnFile }}
    />
  );
}
