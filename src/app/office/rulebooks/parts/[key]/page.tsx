import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../../../core/rights/actor";
import { registersOf } from "../../../../../core/standards/reference-set";
import { webRuntime } from "../../../../../runtime";
import { formatMoment } from "../../../../../text/format";
import { ConfirmPress } from "../../../../../ui/frame/confirm-press.client";
import { RulebookEditor } from "../../../../../ui/rulebook/editor.client";
import { PartUses } from "../../../../../ui/rulebook/part-uses";
import { rulebookFactTitles } from "../../../../../views/rulebook/rulebooks";
import { sharedParts } from "../../../../../views/rulebook/shared-parts";
import { officeNow } from "../../../../../views/view/office-now";
import { requireStaff, see } from "../../../../request";
import { giveUpPart, storePart } from "../../rulebook.action";

/** One shared part, to be written; every draft that holds it follows. */
export default async function PartPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const person = await requireStaff(`/office/rulebooks/parts/${key}`, RULEBOOK_READERS);
  const [part] = (await see(sharedParts, person.actor, { key })) ?? [];
  if (!part) notFound();
  const { set } = await officeNow((await webRuntime()).pool);
  return (
    <div className="office-sheet wide rulebook-sheet">
      <p>
        <Link href="/office/rulebooks/parts">Shared parts</Link>
      </p>
      <h1>
        {part.title.en} <span className="quiet">{part.title.fr}</span>
      </h1>
      <p>
        Used in <PartUses uses={part.uses} />.{" "}
        <span className="quiet">
          Changed {part.editedBy ? `by ${part.editedBy} ` : ""}on {formatMoment("en", part.editedAt, set.zone)}.
        </span>
      </p>
      <RulebookEditor
        key={part.key}
        name={`part ${part.key}`}
        first={part.body}
        edit={part.edit}
        writable
        groups={set.groups.map((g) => ({ key: g.key, title: g.title.en }))}
        office={{ ...registersOf(set), entitlements: set.entitlements }}
        titlesOf={rulebookFactTitles(part.body, set)}
        store={storePart.bind(null, { key: part.key, title: part.title })}
      />
      <ConfirmPress
        action={giveUpPart.bind(null, key)}
        label="Give this part up"
        question={`${part.title.en} is no longer shared. ${part.uses.length} ${part.uses.length === 1 ? "rulebook keeps its copy" : "rulebooks keep their copies"} as they are.`}
        locale="en"
      />
    </div>
  );
}
