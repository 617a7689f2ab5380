import { notFound } from "next/navigation";
import { holds, OFFICE } from "../../../core/rights/actor";
import { OfficeTexts } from "../../../ui/conversation/office-texts.client";
import { officeTexts } from "../../../views/conversation/conversation";
import { requireStaff, see } from "../../request";
import { TextKinds } from "./parts";
import { dropOfficeText, saveOfficeText } from "./texts.action";

/** What the office writes again and again, kept once, in both languages, with fields that a file fills in. */
export default async function TextsPage() {
  const person = await requireStaff("/office/texts", OFFICE);
  const texts = await see(officeTexts, person.actor, {});
  if (!texts) notFound();
  return (
    <div className="office-sheet">
      <div className="sheet-head">
        <h1>
          Texts <span className="quiet">what is written to applicants again and again</span>
        </h1>
      </div>
      <TextKinds shown="texts" />
      <OfficeTexts
        texts={texts}
        writes={holds(person.actor, ["lead officer"])}
        save={saveOfficeText}
        drop={dropOfficeText}
      />
    </div>
  );
}
