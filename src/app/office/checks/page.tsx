import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { checkKinds } from "../../../views/checks/checks";
import { requireStaff, see } from "../../request";

/** What waits to be checked, by its kind: one kind is worked through across all files. */
export default async function ChecksPage() {
  const person = await requireStaff("/office/checks", OFFICE);
  const kinds = await see(checkKinds, person.actor, {});
  if (!kinds) notFound();
  return (
    <div className="office-sheet">
      <div className="sheet-head">
        <h1>
          Check run <span className="quiet">one kind of evidence across all files, one after another</span>
        </h1>
      </div>
      {kinds.length === 0 ? (
        <p className="empty">Nothing waits to be checked. What comes in stands here at once.</p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>Evidence</th>
              <th className="number">To check</th>
              <th className="number">Late files</th>
              <th>Before others just now</th>
            </tr>
          </thead>
          <tbody>
            {kinds.map((k) => (
              <tr key={k.requirement}>
                <td>
                  <Link href={`/office/checks/${encodeURIComponent(k.requirement)}`}>{k.title}</Link>
                </td>
                <td className="number">{k.files}</td>
                <td className="number">{k.late === 0 ? "" : k.late}</td>
                <td>{k.taken === 0 ? "" : k.taken}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
