"use client";

import { useState } from "react";
import type { StaffMember } from "../../views/people/staff";
import { OfficeDay } from "../frame/office-day.client";

/** The roles of one person, each with what it is over and until when, and a press that takes it away. */
export function HeldRoles({
  person,
  take,
}: {
  person: StaffMember;
  take: (personId: string, role: string, scope: string) => Promise<string | null>;
}) {
  const [said, setSaid] = useState<string | null>(null);
  return (
    <>
      {person.grants.length === 0 ? <span className="quiet">none any more</span> : null}
      {person.grants.map(({ role, scope, until, over }) => (
        <div key={`${role}-${scope}`} className="role">
          {role}
          {scope === "*" ? "" : ` of ${scope}`}
          {until === null ? null : (
            <span className="quiet">
              {over ? ", ended " : ", until the end of the day before "}
              <OfficeDay at={until} />
            </span>
          )}{" "}
          <button
            type="button"
            className="link-button"
            aria-label={`Take the role ${role}${scope === "*" ? "" : ` of ${scope}`} from ${person.name}`}
            onClick={() => void take(person.id, role, scope).then(setSaid)}
          >
            take away
          </button>
        </div>
      ))}
      {said ? (
        <p role="status" className="wrong">
          {said}
        </p>
      ) : null}
    </>
  );
}
