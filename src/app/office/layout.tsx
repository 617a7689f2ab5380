import type { ReactNode } from "react";
import { holds, OFFICE } from "../../core/rights/actor";
import { Band } from "../../ui/frame/band.client";
import { Library } from "../../ui/frame/library.client";
import { signOut } from "../(applicant)/account/sign-out.action";
import { identity, nonce, officeZone } from "../request";

/** The office's face: a dark band of words, and below it the whole page is work. */
export default async function OfficeLayout({ children }: { children: ReactNode }) {
  const [person, token, zone] = await Promise.all([identity(), nonce(), officeZone()]);
  // The page itself leads them on, and back to it.
  if (!person || person.owesSecondFactor) return children;
  const words = [
    ...(holds(person.actor, OFFICE)
      ? [
          { href: "/office", word: "Turns" },
          { href: "/office/drafts", word: "Drafts" },
          { href: "/office/awaited", word: "Still to come" },
          { href: "/office/post", word: "Post" },
          { href: "/office/rulebooks", word: "Rulebooks" },
        ]
      : []),
    ...(holds(person.actor, ["adviser"]) ? [{ href: "/office/confided", word: "In confidence" }] : []),
    ...(holds(person.actor, ["finance"]) ? [{ href: "/office/money", word: "Money" }] : []),
    ...(holds(person.actor, ["administrator"])
      ? [
          { href: "/office/mail", word: "Mail" },
          { href: "/office/access", word: "Access" },
          { href: "/office/erasures", word: "Erasure" },
          { href: "/office/people", word: "Settings" },
        ]
      : []),
  ];
  const menu = holds(person.actor, ["officer", "lead officer", "administrator"])
    ? [
        { href: "/office/programmes", word: "Programmes" },
        { href: "/office/standards", word: "Standards" },
        { href: "/office/institutions", word: "Institutions" },
        { href: "/office/rulings", word: "Rulings" },
        ...(holds(person.actor, OFFICE)
          ? [
              { href: "/office/results", word: "Test results" },
              { href: "/office/figures", word: "Figures" },
              { href: "/office/copies", word: "Copies" },
            ]
          : []),
      ]
    : [];
  const findAt = holds(person.actor, OFFICE) ? "/office" : holds(person.actor, ["finance"]) ? "/office/money" : null;
  return (
    <Library nonce={token} locale="en" face="office" zone={zone}>
      <div className="office" lang="en">
        <a className="skip" href="#page">
          Skip to the page
        </a>
        <Band words={words} menu={menu} name={person.actor.name} findAt={findAt} signOut={signOut} />
        <main id="page">{children}</main>
        <span className="page-end" />
      </div>
    </Library>
  );
}
