import { BY_PROGRAMME } from "../../core/rights/actor";
import type { StaffMember } from "../../views/people/staff";

/** Who may do what on each programme: those of the whole office first, then those who are limited to it. */
export function WhoWhere({
  people,
  programmes,
}: {
  people: readonly StaffMember[];
  programmes: readonly { readonly code: string; readonly title: string }[];
}) {
  const held = (code: string, role: string) =>
    people.filter((p) => p.grants.some((g) => g.role === role && g.scope === code && !g.over)).map((p) => p.name);
  const rows = [{ code: "*", title: "The whole office" }, ...programmes];
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th>Programme</th>
          {BY_PROGRAMME.map((role) => (
            <th key={role}>{role}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ code, title }) => (
          <tr key={code}>
            <td>
              {code === "*" ? null : <strong>{code} </strong>}
              {title}
            </td>
            {BY_PROGRAMME.map((role) => (
              <td key={role}>{held(code, role).join(", ") || <span className="quiet">–</span>}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
