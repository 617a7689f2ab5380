"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";

/** All parts of an application, in order; the one on the page is marked, complete ones carry a full bar. */
export function SectionNav({
  number,
  items,
  overview,
  label,
  complete,
}: {
  number: string;
  items: readonly { readonly key: string; readonly title: string; readonly done: boolean }[];
  overview: string;
  label: string;
  complete: string;
}) {
  const path = usePathname();
  const at = (href: string) => (path === href ? ("page" as const) : undefined);
  return (
    <nav className="section-nav" aria-label={label}>
      <Link href={`/my/${number}`} aria-current={at(`/my/${number}`)}>
        {overview}
      </Link>
      {items.map((item) => (
        <Link
          key={item.key}
          href={`/my/${number}/${item.key}`}
          aria-current={at(`/my/${number}/${item.key}`)}
          data-done={item.done}
        >
          <span className="nav-bar" aria-hidden="true" />
          {item.title}
          {item.done ? <span className="hidden-text"> ({complete})</span> : null}
        </Link>
      ))}
    </nav>
  );
}
