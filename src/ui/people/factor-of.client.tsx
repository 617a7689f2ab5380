"use client";

import type { StaffMember } from "../../views/people/staff";
import { ConfirmPress } from "../frame/confirm-press.client";

/** Whether somebody has a second factor, and the press that lets them back in without it. */
export function FactorOf({
  person,
  isSelf,
  act,
}: {
  person: StaffMember;
  isSelf: boolean;
  act: (personId: string) => Promise<string | null>;
}) {
  if (!person.hasPassword) return <span className="quiet">–</span>;
  return (
    <>
      {person.hasSecondFactor ? "on" : <span className="quiet">none</span>}{" "}
      {isSelf ? null : (
        <ConfirmPress
          action={() => act(person.id)}
          label="Let back in"
          name={`Let ${person.name} back in`}
          locale="en"
          question={`${person.name} has lost the telephone or the password? Their second factor, password and sessions end, and a link for a new password goes to ${person.email}.`}
        />
      )}
    </>
  );
}
