import { formatMoment } from "../../../text/format";
import { StaffForm } from "../../../ui/people/staff-form.client";
import { troubledFiles } from "../../../views/assessment/troubled-files";
import { staff } from "../../../views/people/staff";
import { officeZone, requireStaff, see } from "../../request";
import { changeHeldRole, invite, tryAgain } from "./people.action";

/** People and roles, for an administrator. */
export default async function PeoplePage() {
  const person = await requireStaff("/office/people", ["administrator"]);
  const [people, troubled, zone] = await Promise.all([
    see(staff, person.actor, {}),
    see(troubledFiles, person.actor, {}),
    officeZone(),
  ]).then(([all, files, name]) => [all ?? [], files ?? [], name] as const);
  return (
    <div className="office-sheet">
      <h1>People and roles</h1>
      <table className="plain-table">
        <thead>
          <tr>
            <th>Name</th>
            <th>E-mail</th>
            <th>Roles</th>
            <th>Account</th>
          </tr>
        </thead>
        <tbody>
          {people.map((p) => (
            <tr key={p.id}>
              <td className="serif">{p.name}</td>
              <td>{p.email}</td>
              <td>
                {p.grants.map((g) => (
                  <form key={`${g.role}-${g.scope}`} action={changeHeldRole} className="role">
                    <input type="hidden" name="personId" value={p.id} />
                    <input type="hidden" name="role" value={g.role} />
                    <input type="hidden" name="scope" value={g.scope} />
                    {g.role}
                    {g.scope === "*" ? "" : ` (${g.scope})`}{" "}
                    <button type="submit" className="link-button" aria-label={`Take the role ${g.role} from ${p.name}`}>
                      take away
                    </button>
                  </form>
                ))}
              </td>
              <td className="quiet">{p.hasPassword ? "has a password" : "invited"}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>Invite somebody</h2>
      <StaffForm action={invite} />
      <h2>Files that could not be assessed</h2>
      {troubled.length === 0 ? (
        <p className="quiet">
          None. A file that cannot be assessed again is set aside, named here and tried again by itself.
        </p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>File</th>
              <th>What went wrong</th>
              <th>Tried</th>
              <th>Since</th>
              <th>Next try</th>
              <th>
                <span className="hidden-text">Act</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {troubled.map((file) => (
              <tr key={file.applicationId}>
                <td>{file.number}</td>
                <td>{file.error}</td>
                <td>{file.tries === 1 ? "once" : `${file.tries} times`}</td>
                <td>{formatMoment("en", file.firstAt, zone)}</td>
                <td>{formatMoment("en", file.nextTryAt, zone)}</td>
                <td>
                  <form action={tryAgain}>
                    <input type="hidden" name="applicationId" value={file.applicationId} />
                    <button type="submit" className="link-button" aria-label={`Try ${file.number} again now`}>
                      try again now
                    </button>
                  </form>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
