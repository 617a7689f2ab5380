import Link from "next/link";
import { ProcedureForm } from "../../../../ui/catalogue/procedure-form.client";
import { plans } from "../../../../views/catalogue/plans";
import { requireStaff, see } from "../../../request";
import { storeProcedure } from "../plan.action";

/** The families of programmes that share one application, with their rules about choices. */
export default async function ProceduresPage() {
  const person = await requireStaff("/office/programmes/procedures", ["officer", "lead officer", "administrator"]);
  const data = await see(plans, person.actor, {});
  if (!data) return null;
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/programmes">Programmes</Link>
      </p>
      <h1>Procedures and their choices</h1>
      <p className="quiet">
        Programmes of one procedure share one application. Its rules are said to applicants before they fill anything
        in; what an application holds already stays as it is.
      </p>
      {data.procedures.map((procedure) => {
        const codes = data.programmes.filter((p) => p.procedure === procedure.key).map((p) => p.code);
        return (
          <section key={procedure.key} className="plan-part">
            <h2>
              {procedure.title.en} <span className="quiet">{codes.join(", ") || "no programme yet"}</span>
            </h2>
            <ProcedureForm known={procedure} codes={codes} mayChange={data.mayChange} store={storeProcedure} />
          </section>
        );
      })}
      {data.mayChange ? (
        <details className="plan-more" open={data.procedures.length === 0}>
          <summary>Add a procedure</summary>
          <ProcedureForm known={null} codes={[]} mayChange store={storeProcedure} />
        </details>
      ) : null}
    </div>
  );
}
