import Link from "next/link";
import type { PartUse } from "../../views/rulebook/shared-parts";

/** The rulebooks that hold a copy of a part; those whose copy is older say so. */
export function PartUses({ uses }: { uses: readonly PartUse[] }) {
  if (uses.length === 0) return <span className="quiet">no rulebook yet</span>;
  return (
    <span className="part-uses">
      {uses.map((use) => (
        <span key={use.rulebookId}>
          <Link href={`/office/rulebooks/${use.rulebookId}`}>
            {use.code} {use.cycle}
          </Link>
          {use.status === "draft" ? <span className="quiet"> draft</span> : null}
          {use.current ? null : <strong> older copy</strong>}
        </span>
      ))}
    </span>
  );
}
