import { formatMoment } from "../../../text/format";
import { FactorOf } from "../../../ui/people/factor-of.client";
import { HeldRoles } from "../../../ui/people/held-roles.client";
import { GiveRoleForm, InviteForm } from "../../../ui/people/staff-form.client";
import { WhoWhere } from "../../../ui/people/who-where";
import { troubledFiles } from "../../../views/assessment/troubled-files";
import { type StaffMember, staff } from "../../../views/people/staff";
import { officeZone, requireStaff, see } from "../../request";
import { giveRole, invite, letIn, takeRole, tryAgain } from "./people.action";

function signedInWords({ lastSignIn, hasPassword }: StaffMember, zone: string): string {
  if (lastSignIn !== null) return formatMoment("en", lastSignIn, zone);
  return hasPassword ? "never yet" : "invited, no password yet";
}

/** People and roles, for an administrator. */
export default async function PeoplePage() {
  const person = await requireStaff("/office/people", ["administrator"]);
  const [people, troubled, zone, programmes] = await Promise.all([
    see(staff, person.actor, {}),
    see(troubledFiles, person.actor, {}),
    officeZone(),
  ]).then(([all, files, name]) => [all?.people ?? [], files ?? [], name, all?.programmes ?? []] as const);
  const codes = programmes.map(({ code, title }) => ({ code, title: title.en }));
  return (
    <div className="office-sheet wide">
      <h1>People and roles</h1>
      <table className="plain-table">
        <thead>
          <tr>
            <th>Name</th>
            <th>E-mail</th>
            <th>Roles</th>
            <th>Second factor</th>
            <th>Signed in last</th>
          </tr>
        </thead>
        <tbody>
          {people.map((p) => (
            <tr key={p.id}>
              <td className="serif">{p.name}</td>
              <td>{p.email}</td>
              <td>
                <HeldRoles person={p} take={takeRole} />
              </td>
              <td>
                <FactorOf person={p} isSelf={p.id === person.actor.id} act={letIn} />
              </td>
              <td className="quiet">{signedInWords(p, zone)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>Give a role</h2>
      <GiveRoleForm action={giveRole} people={people} programmes={codes} />
      <h2>Invite somebody</h2>
      <InviteForm action={invite} programmes={codes} />
      <h2>Who works on which programme</h2>
      <WhoWhere people={people} programmes={codes} />
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
