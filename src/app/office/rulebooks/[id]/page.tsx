import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../../core/rights/actor";
import { registersOf } from "../../../../core/standards/reference-set";
import { webRuntime } from "../../../../runtime";
import { formatDate } from "../../../../text/format";
import { ConfirmPress } from "../../../../ui/frame/confirm-press.client";
import { RulebookEditor } from "../../../../ui/rulebook/editor.client";
import { rulebookPage } from "../../../../views/rulebook/rulebooks";
import { sharedParts } from "../../../../views/rulebook/shared-parts";
import { officeNow } from "../../../../views/view/office-now";
import { requireStaff, see } from "../../../request";
import { shareOne, storeDraft, throwAway } from "../rulebook.action";

/** One rulebook: a draft to be written, or a published one to be read. */
export default async function RulebookPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  /** The section that is shown first. */
  searchParams: Promise<{ section?: string }>;
}) {
  const { id } = await params;
  const { section } = await searchParams;
  const person = await requireStaff(`/office/rulebooks/${id}`, RULEBOOK_READERS);
  const [page, parts] = await Promise.all([
    see(rulebookPage, person.actor, { rulebookId: id }),
    see(sharedParts, person.actor, {}),
  ]);
  if (!page) notFound();
  const { set } = await officeNow((await webRuntime()).pool);
  const isDraft = page.status === "draft";
  return (
    <div className="office-sheet wide rulebook-sheet">
      <p>
        <Link href="/office/rulebooks">Rulebooks</Link>
      </p>
      <div className="sheet-head">
        <h1>
          {page.award} {page.title.en}{" "}
          <span className="quiet">
            {page.code}, {formatDate("en", page.startsOn)} ·{" "}
            {isDraft ? `draft of version ${page.version}` : `version ${page.version}, ${page.status}`}
          </span>
        </h1>
        <span className="sheet-links">
          {page.versions
            .filter((v) => v.id !== page.id)
            .slice(0, 4)
            .map((v) => (
              <Link key={v.id} href={`/office/rulebooks/${v.id}`}>
                {v.status === "draft" ? "draft" : `version ${v.version}`}
              </Link>
            ))}
          <Link href={`/office/rulebooks/${id}/form`}>See the form</Link>
          <a href={`/api/rulebooks/${id}`} download>
            Export
          </a>
          <Link href={`/office/rulebooks/${id}/changes`} className="office-press">
            {isDraft ? "Changes and publishing" : "What it changed"}
          </Link>
        </span>
      </div>
      <RulebookEditor
        key={`${page.id}-${page.status}`}
        name={page.id}
        first={page.body}
        {...(typeof section === "string" ? { at: section } : {})}
        edit={page.edit}
        writable={isDraft}
        groups={set.groups.map((g) => ({ key: g.key, title: g.title.en }))}
        office={{ ...registersOf(set), entitlements: set.entitlements }}
        titlesOf={page.factTitles}
        parts={(parts ?? []).map(({ key, title, body }) => ({ key, title, body }))}
        store={storeDraft.bind(null, id)}
        share={shareOne.bind(null, id)}
      />
      {isDraft ? (
        <ConfirmPress
          action={throwAway.bind(null, id)}
          label="Throw the draft away"
          question={`This throws away the draft of version ${page.version} of ${page.code} for good.`}
          locale="en"
        />
      ) : null}
    </div>
  );
}
