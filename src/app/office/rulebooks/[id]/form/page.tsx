import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../../../core/rights/actor";
import { FormTrial } from "../../../../../ui/rulebook/form-trial.client";
import { formPreview } from "../../../../../views/form/form-preview";
import { rulebookPage } from "../../../../../views/rulebook/rulebooks";
import { requireStaff, see } from "../../../../request";
import { tryForm } from "../../rulebook.action";

/** The form of a rulebook as an applicant would see it: of one group or another, with one option or another, in either language. */
export default async function FormPreviewPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const person = await requireStaff(`/office/rulebooks/${id}/form`, RULEBOOK_READERS);
  const [page, first] = await Promise.all([
    see(rulebookPage, person.actor, { rulebookId: id }),
    see(formPreview, person.actor, { rulebookId: id }),
  ]);
  if (!page || !first) notFound();
  return (
    <div className="office-sheet wide">
      <p>
        <Link href={`/office/rulebooks/${id}`}>
          {page.award} {page.title.en},{" "}
          {page.status === "draft" ? `draft of version ${page.version}` : `version ${page.version}`}
        </Link>
      </p>
      <h1>The form as an applicant sees it</h1>
      <p className="quiet">
        Fill it in to try it out: sections, documents and fees follow at once. Nothing is kept, and nobody is told.
      </p>
      <FormTrial rulebookId={id} first={first} answer={tryForm} />
    </div>
  );
}
