import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../../core/rights/actor";
import { Differences } from "../../../../ui/rulebook/differences";
import { Effects } from "../../../../ui/rulebook/effects";
import { PublishForm } from "../../../../ui/rulebook/publish-form.client";
import { standardsProblem } from "../../../../ui/standards/words";
import { standards } from "../../../../views/standards/standards";
import { requireStaff, see } from "../../../request";
import { previewStandards, publishStandards } from "../standards.action";

/** What a version of the standards changes, for which files, and the way to put it in force. */
export default async function StandardsChanges({
  searchParams,
}: {
  searchParams: Promise<{ version?: string; after?: string }>;
}) {
  const person = await requireStaff("/office/standards/changes", RULEBOOK_READERS);
  const query = await searchParams;
  const asked = Number(query.version);
  const page = await see(standards, person.actor, {
    version: Number.isInteger(asked) && asked > 0 ? asked : null,
    after: query.after ?? null,
  });
  if (!page) notFound();
  const { draft } = page;
  const titles = Object.fromEntries(page.facts.flatMap((f) => (f.title ? [[f.name, f.title] as const] : [])));
  const nothing = page.differences.length === 0;
  return (
    <div className="office-sheet wide">
      <p>
        <Link href={`/office/standards${draft ? "" : `?version=${page.version}`}`}>Standards</Link>
      </p>
      <h1>
        {draft
          ? `What changes against version ${page.inForce}`
          : page.version > 1
            ? `What version ${page.version} changed`
            : "There is no earlier version to compare with"}
      </h1>
      <Differences differences={page.differences} titles={titles} />
      {draft ? (
        <>
          <section className="plan-part">
            <h2>What it would change for the files that are here</h2>
            {draft.problems.length > 0 ? (
              <>
                <p className="wrong">Something has to be corrected first:</p>
                <ul className="plain-list">
                  {draft.problems.map((p) => (
                    <li key={`${p.code} ${p.area} ${p.about}`}>{standardsProblem(draft.body, p)}</li>
                  ))}
                </ul>
              </>
            ) : (
              <Effects
                preview={draft.preview}
                first={query.after ? "/office/standards/changes" : null}
                nextHref={(next) => `/office/standards/changes?after=${encodeURIComponent(next)}`}
                titleOf={(programme, key) => page.titles[programme]?.[key] ?? key}
                keeps="Submitted ones keep the applicant group in which they were submitted."
                begin={previewStandards}
              />
            )}
          </section>
          {draft.problems.length === 0 && page.mayWrite ? (
            <section className="plan-part">
              <h2>Put in force</h2>
              {nothing ? (
                <p className="quiet">Nothing differs yet.</p>
              ) : (
                <PublishForm
                  label="Put it in force"
                  publish={publishStandards.bind(null, draft.edit)}
                  consequence={`Version ${page.inForce + 1} counts from now on, and every file that it can touch is worked out anew. Decisions that were released stay as they are.`}
                />
              )}
            </section>
          ) : null}
        </>
      ) : null}
    </div>
  );
}
