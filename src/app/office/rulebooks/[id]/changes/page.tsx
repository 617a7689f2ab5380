import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../../../core/rights/actor";
import { Differences } from "../../../../../ui/rulebook/differences";
import { Effects } from "../../../../../ui/rulebook/effects";
import { PublishForm } from "../../../../../ui/rulebook/publish-form.client";
import { problemSentence } from "../../../../../ui/rulebook/words";
import type { RulebookPage } from "../../../../../views/rulebook/rulebooks";
import { rulebookPage } from "../../../../../views/rulebook/rulebooks";
import { requireStaff, see } from "../../../../request";
import { beginPreview, publish } from "../../rulebook.action";

function Publishing({ page }: { page: RulebookPage }) {
  if (page.status !== "draft") return null;
  const touched = page.preview?.counts.drafts ?? 0;
  return (
    <section className="plan-part">
      <h2>Publish</h2>
      {page.problems.length > 0 ? (
        <>
          <p className="wrong">It cannot be published yet:</p>
          <ul className="plain-list">
            {page.problems.map((p) => (
              <li key={`${p.code} ${p.about}`}>{problemSentence(page.body, p)}</li>
            ))}
          </ul>
        </>
      ) : page.mayPublish ? (
        <PublishForm
          publish={publish.bind(null, page.id, page.edit)}
          consequence={`Version ${page.version} of ${page.code} counts from now on. Applications that are not submitted follow it, and those whom it changes something for get a mail${
            touched > 0 ? ` (${touched} by the preview)` : ""
          }. Submitted files keep the version they were submitted under.`}
        />
      ) : (
        <p className="quiet">A lead officer publishes it.</p>
      )}
    </section>
  );
}

/** What a rulebook changes: part by part, for which files, and the way to publish it. */
export default async function ChangesPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ after?: string }>;
}) {
  const [{ id }, { after = null }] = await Promise.all([params, searchParams]);
  const person = await requireStaff(`/office/rulebooks/${id}/changes`, RULEBOOK_READERS);
  const page = await see(rulebookPage, person.actor, { rulebookId: id, after });
  if (!page) notFound();
  return (
    <div className="office-sheet wide">
      <p>
        <Link href={`/office/rulebooks/${id}`}>
          {page.code}, {page.status === "draft" ? `draft of version ${page.version}` : `version ${page.version}`}
        </Link>
      </p>
      <h1>
        {page.against
          ? `What changes against version ${page.against.version}`
          : "There is no earlier version to compare with"}
      </h1>
      <Differences differences={page.differences} titles={page.factTitles} />
      {page.status === "draft" ? (
        <section className="plan-part">
          <h2>What it would change for the files that are here</h2>
          <Effects
            preview={page.preview}
            first={after ? `/office/rulebooks/${id}/changes` : null}
            nextHref={(next) => `/office/rulebooks/${id}/changes?after=${encodeURIComponent(next)}`}
            titleOf={(_, key) =>
              [...page.body.entryRules, ...page.body.requirements].find((r) => r.key === key)?.title.en ?? key
            }
            keeps="Submitted ones keep their version unless a lead officer moves them."
            begin={beginPreview.bind(null, id)}
          />
        </section>
      ) : null}
      <Publishing page={page} />
    </div>
  );
}
