import { notFound } from "next/navigation";
import { holds, OFFICE } from "../../../../core/rights/actor";
import { ReturnReasons } from "../../../../ui/evidence/return-reasons.client";
import { returnReasons } from "../../../../views/evidence/return-reasons";
import { requireStaff, see } from "../../../request";
import { TextKinds } from "../parts";
import { saveReturnReason } from "../texts.action";

/** For which reasons documents go back: what they are called among us, and what the applicant reads. */
export default async function ReasonsPage() {
  const person = await requireStaff("/office/texts/reasons", OFFICE);
  const reasons = await see(returnReasons, person.actor, {});
  if (!reasons) notFound();
  return (
    <div className="office-sheet">
      <div className="sheet-head">
        <h1>
          Texts <span className="quiet">why documents go back</span>
        </h1>
      </div>
      <TextKinds shown="reasons" />
      <ReturnReasons reasons={reasons} writes={holds(person.actor, ["lead officer"])} save={saveReturnReason} />
    </div>
  );
}
