import Link from "next/link";
import { notFound } from "next/navigation";
import { ACCESS_SUBJECTS, type AccessSubject, kindsOf } from "../../../core/record/access";
import { formatMoment } from "../../../text/format";
import { accessWords } from "../../../text/words/access";
import { FindForm } from "../../../ui/frame/find-form.client";
import { access } from "../../../views/people/access";
import { officeZone, requireStaff, see } from "../../request";

const SUBJECT_WORDS: Readonly<Record<AccessSubject, string>> = {
  all: "Everything",
  "signing in": "Signing in",
  reading: "Files, documents, lists",
  rights: "Roles",
};

const WRONG = ["sign-in failed", "kept out", "code failed"];

/** Who came in or tried to, what they looked at, and who was given which right; for an administrator. */
export default async function AccessPage({
  searchParams,
}: {
  searchParams: Promise<{ subject?: string; find?: string; before?: string }>;
}) {
  const person = await requireStaff("/office/access", ["administrator"]);
  const { subject, find = "", before = null } = await searchParams;
  const asked = { subject: subject as AccessSubject, find, before }; // another word leads to everything
  const [page, zone] = await Promise.all([see(access, person.actor, asked), officeZone()]);
  if (!page) notFound();
  const address = (more: Readonly<Record<string, string>>) =>
    `/office/access?${new URLSearchParams({ subject: page.subject, ...(find ? { find } : {}), ...more })}`;
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Access record <span className="quiet">kept for 400 days, changed by nobody</span>
        </h1>
        <a href={`/api/access?${new URLSearchParams({ subject: page.subject, find })}`} download>
          As CSV
        </a>
      </div>
      <nav className="kinds" aria-label="What is shown">
        {ACCESS_SUBJECTS.map((s) => (
          <Link key={s} href={address({ subject: s })} aria-current={s === page.subject ? "page" : undefined}>
            {SUBJECT_WORDS[s]}
          </Link>
        ))}
      </nav>
      <FindForm
        key={`${page.subject} ${find}`}
        action="/office/access"
        kept={{ subject: page.subject }}
        label="Person or file"
        placeholder="a name, an address, 27-00017"
        find={find}
      />
      {page.rows.length === 0 ? (
        <p className="empty">
          {find
            ? `Nothing is on record for “${find}”. Look for a part of the name, or a whole number.`
            : "Nothing yet."}
        </p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>When</th>
              <th>Who</th>
              <th>What</th>
              <th>From</th>
            </tr>
          </thead>
          <tbody>
            {page.rows.map((row) => (
              <tr key={row.id}>
                <td className="figures">{formatMoment("en", row.at.toISOString(), zone)}</td>
                <td>
                  {row.name === null ? (
                    <span className="quiet">
                      {kindsOf("rights").includes(row.kind) ? "the command line" : "nobody we know"}
                    </span>
                  ) : (
                    <>
                      <span className="serif">{row.name}</span> <span className="quiet">{row.email}</span>
                    </>
                  )}
                </td>
                <td className={WRONG.includes(row.kind) ? "wrong" : undefined}>{accessWords(row)}</td>
                <td className="quiet">{row.network ?? "–"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="quiet">
        {before ? <Link href={address({})}>Newest</Link> : null}{" "}
        {page.next ? <Link href={address({ before: String(page.next) })}>Earlier</Link> : null}
      </p>
    </div>
  );
}
