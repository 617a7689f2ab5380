import { StaffForm } from "../../../ui/staff-form.client";
import { staff } from "../../../views/staff";
import { requireStaff, see } from "../../request";
import { changeHeldRole, invite } from "./people.action";

/** People and roles, for an administrator. */
export default async function PeoplePage() {
  const person = await requireStaff("/office/people", ["administrator"]);
  const people = (await see(staff, person.actor, {})) ?? [];
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
    </div>
  );
}
