import type { ReactNode } from "react";
import { holds, OFFICE } from "../../core/rights/actor";
import { Band } from "../../ui/frame/band.client";
import { Library } from "../../ui/frame/library.client";
import { groupsFor } from "../../ui/frame/office-pages";
import { signOut } from "../(applicant)/account/sign-out.action";
import { identity, nonce, officeZone } from "../request";

/** The office's face: a dark band of words, and below it the whole page is work. */
export default async function OfficeLayout({ children }: { children: ReactNode }) {
  const [person, token, zone] = await Promise.all([identity(), nonce(), officeZone()]);
  // The page itself leads them on, and back to it.
  if (!person || person.owesSecondFactor) return children;
  const findAt = holds(person.actor, OFFICE) ? "/office" : holds(person.actor, ["finance"]) ? "/office/money" : null;
  return (
    <Library nonce={token} locale="en" face="office" zone={zone}>
      <div className="office" lang="en">
        <a className="skip" href="#page">
          Skip to the page
        </a>
        <Band groups={groupsFor(person.actor)} name={person.actor.name} findAt={findAt} signOut={signOut} />
        <main id="page">{children}</main>
        <span className="page-end" />
      </div>
    </Library>
  );
}
