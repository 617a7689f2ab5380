import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../core/rights/actor";
import { formatMoment } from "../../../text/format";
import { ConfirmPress } from "../../../ui/frame/confirm-press.client";
import { StandardsEditor } from "../../../ui/standards/editor.client";
import { standardsProblem } from "../../../ui/standards/words";
import { type StandardsPage, standards } from "../../../views/standards/standards";
import { requireStaff, see } from "../../request";
import { beginStandards, dropStandards, storeStandards } from "./standards.action";

function Head({ page, zone }: { page: StandardsPage; zone: string }) {
  const { draft } = page;
  return (
    <div className="sheet-head">
      <h1>
        Standards{" "}
        <span className="quiet">
          {draft
            ? `draft of version ${page.inForce + 1}, last changed by ${draft.by ?? "the system"}`
            : page.version === page.inForce
              ? `version ${page.version}, in force since ${formatMoment("en", page.at, zone)}`
              : `version ${page.version}, no longer in force`}
        </span>
      </h1>
      <span className="sheet-links">
        <a href={`/api/standards${draft ? "" : `?version=${page.version}`}`} download>
          Export
        </a>
        <Link
          href={`/office/standards/changes${draft ? "" : `?version=${page.version}`}`}
          className={draft ? "office-press" : ""}
        >
          {draft ? "Changes and effect" : "What it changed"}
        </Link>
        {page.mayWrite && !draft && page.version === page.inForce ? (
          <form action={beginStandards}>
            <button type="submit" className="office-press">
              Change them
            </button>
          </form>
        ) : null}
      </span>
    </div>
  );
}

/** What every file is judged by: applicant groups, grade scales, tests, subject areas, campuses, working days and targets. */
export default async function Standards({ searchParams }: { searchParams: Promise<{ version?: string }> }) {
  const person = await requireStaff("/office/standards", RULEBOOK_READERS);
  const asked = Number((await searchParams).version);
  const page = await see(standards, person.actor, { version: Number.isInteger(asked) && asked > 0 ? asked : null });
  if (!page) notFound();
  const { draft } = page;
  const writes = draft !== null && page.mayWrite;
  const body = draft?.body ?? page.set;
  return (
    <div className="office-sheet wide rulebook-sheet">
      <Head page={page} zone={page.set.zone} />
      {page.outOfDate > 0 ? (
        <p role="status">
          {page.outOfDate} {page.outOfDate === 1 ? "file is" : "files are"} still being worked through by version{" "}
          {page.inForce}.
        </p>
      ) : null}
      {draft && draft.problems.length > 0 ? (
        <aside className="rulebook-problems" aria-label="What keeps it from being put in force">
          <strong>
            {draft.problems.length} {draft.problems.length === 1 ? "thing" : "things"} to correct
          </strong>
          <ul className="plain-list">
            {draft.problems.map((p) => (
              <li key={`${p.code} ${p.area} ${p.about}`}>{standardsProblem(body, p)}</li>
            ))}
          </ul>
        </aside>
      ) : null}
      <StandardsEditor
        key={draft ? `draft of ${draft.base}` : page.version}
        first={body}
        edit={draft?.edit ?? 0}
        facts={page.facts}
        problems={draft?.problems ?? []}
        store={writes ? storeStandards : null}
      />
      {writes ? (
        <ConfirmPress
          action={dropStandards}
          label="Throw the draft away"
          question="This throws away what was changed since the version in force, for good."
          locale="en"
        />
      ) : null}
      <section className="plan-part">
        <h2>Versions</h2>
        <table className="plain-table">
          <tbody>
            {page.versions.map((v) => (
              <tr key={v.version}>
                <td className="figures">
                  <Link href={`/office/standards?version=${v.version}`}>version {v.version}</Link>
                </td>
                <td>{formatMoment("en", v.at, page.set.zone)}</td>
                <td>{v.by ?? "loaded"}</td>
                <td>{v.note}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
