"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { NamedList } from "../../views/turns/named-lists";

/** A list that has a name, and the way to take the name away. */
export function NamedListLink({
  list,
  here,
  mayDrop,
  drop,
}: {
  list: NamedList;
  here: boolean;
  mayDrop: boolean;
  drop: (listId: string) => Promise<string | null>;
}) {
  const router = useRouter();
  return (
    <li className="named-list">
      <Link href={`/office?${list.query}`} aria-current={here ? "page" : undefined}>
        <span>
          {list.name}
          {list.by ? (
            <span className="quiet"> · {list.by}</span>
          ) : list.shared ? (
            <span className="quiet"> · for all</span>
          ) : null}
        </span>
      </Link>
      {mayDrop ? (
        <button
          type="button"
          className="bare"
          aria-label={`Take the list ${list.name} away`}
          onClick={async () => {
            await drop(list.id);
            router.refresh();
          }}
        >
          ×
        </button>
      ) : null}
    </li>
  );
}
