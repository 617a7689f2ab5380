import Link from "next/link";
import { RULEBOOK_READERS } from "../../../../core/rights/actor";
import { AREA_KEYS, type SharedPart } from "../../../../core/rulebook/parts";
import { NewPart } from "../../../../ui/rulebook/new-part.client";
import { PartUses } from "../../../../ui/rulebook/part-uses";
import { sharedParts } from "../../../../views/rulebook/shared-parts";
import { requireStaff, see } from "../../../request";
import { beginPart } from "../rulebook.action";

const AREA_COUNTS = {
  sections: ["section", "sections"],
  requirements: ["requirement", "requirements"],
  measures: ["computed value", "computed values"],
  entryRules: ["entry rule", "entry rules"],
  fees: ["fee", "fees"],
} as const;

function holds({ body }: SharedPart): string {
  const counts = AREA_KEYS.flatMap((area) => {
    const { length } = body[area];
    return length === 0 ? [] : [`${length} ${AREA_COUNTS[area][length === 1 ? 0 : 1]}`];
  });
  return counts.length > 0 ? counts.join(", ") : "nothing yet";
}

/** The parts that rulebooks share, what they hold, and where each is used. */
export default async function PartsPage() {
  const person = await requireStaff("/office/rulebooks/parts", RULEBOOK_READERS);
  const parts = (await see(sharedParts, person.actor, {})) ?? [];
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/rulebooks">Rulebooks</Link>
      </p>
      <h1>Shared parts</h1>
      <p className="quiet">
        What several rulebooks ask for in the same way is kept once. Drafts follow a part at once; a published rulebook
        keeps its own copy until its next version.
      </p>
      {parts.length === 0 ? <p>There is none yet. Begin one here, or share a section from a draft.</p> : null}
      {parts.length > 0 ? (
        <table className="plain-table">
          <thead>
            <tr>
              <th>Part</th>
              <th>Holds</th>
              <th>Used in</th>
            </tr>
          </thead>
          <tbody>
            {parts.map((part) => (
              <tr key={part.key}>
                <td>
                  <Link href={`/office/rulebooks/parts/${part.key}`}>{part.title.en}</Link>{" "}
                  <span className="quiet">{part.key}</span>
                </td>
                <td>{holds(part)}</td>
                <td>
                  <PartUses uses={part.uses} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <NewPart begin={beginPart} />
    </div>
  );
}
