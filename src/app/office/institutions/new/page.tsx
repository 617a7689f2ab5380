import Link from "next/link";
import { KEEPERS } from "../../../../core/rights/actor";
import { webRuntime } from "../../../../runtime";
import { InstitutionForm } from "../../../../ui/standards/institution-form.client";
import { officeNow } from "../../../../views/view/office-now";
import { requireStaff } from "../../../request";
import { storeInstitution } from "../institutions.action";

/** Adds an institution, with the name and country under which applicants wrote it, where that is how somebody came here. */
export default async function NewInstitution({
  searchParams,
}: {
  searchParams: Promise<{ name?: string; country?: string }>;
}) {
  await requireStaff("/office/institutions/new", KEEPERS);
  const { name = "", country = "" } = await searchParams;
  const { set } = await officeNow((await webRuntime()).pool);
  return (
    <div className="office-sheet">
      <p>
        <Link href="/office/institutions">Institutions</Link>
      </p>
      <h1>Add an institution</h1>
      <InstitutionForm
        known={{
          name,
          country,
          otherNames: [],
          kind: "university",
          languages: [],
          scales: [],
          creditsPerYear: null,
          recognition: "to be looked into",
          note: "",
          fingerprints: [],
        }}
        scales={set.scales.map((s) => ({ value: s.key, label: s.title.en }))}
        mayChange
        store={storeInstitution.bind(null, null)}
      />
    </div>
  );
}
