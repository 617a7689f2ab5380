import { ProgrammeForm } from "../../../../ui/catalogue/programme-form.client";
import { plans } from "../../../../views/catalogue/plans";
import { requireStaff, see } from "../../../request";
import { storeProgramme } from "../plan.action";

/** A new programme; its start, rounds and rulebook follow on its own page. */
export default async function NewProgrammePage() {
  const person = await requireStaff("/office/programmes/new", ["lead officer", "administrator"]);
  const data = await see(plans, person.actor, {});
  if (!data) return null;
  return (
    <div className="office-sheet wide">
      <h1>New programme</h1>
      <ProgrammeForm
        known={null}
        procedure={data.procedures[0]?.key ?? ""}
        procedures={data.procedures.map((p) => ({ value: p.key, label: p.title.en }))}
        campuses={data.campuses.map((c) => ({ value: c.key, label: c.title.en }))}
        mayChange
        store={storeProgramme}
      />
    </div>
  );
}
