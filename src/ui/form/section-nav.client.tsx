"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { useEffect, useRef } from "react";
import { useParts } from "./parts.client";

/** All parts of an application, in order; the one on the page is marked, complete ones carry a full bar. */
export function SectionNav({
  number,
  overview,
  label,
  complete,
}: {
  number: string;
  overview: string;
  label: string;
  complete: string;
}) {
  const path = usePathname();
  const parts = useParts();
  const nav = useRef<HTMLElement>(null);
  // On a phone the parts stand in one line that scrolls: the one on the page is brought into sight.
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever another part is on the page
  useEffect(() => {
    const here = nav.current?.querySelector<HTMLElement>('[aria-current="page"]');
    if (nav.current && here)
      nav.current.scrollLeft = here.offsetLeft - (nav.current.clientWidth - here.clientWidth) / 2;
  }, [path]);
  const at = (href: string) => (path === href ? ("page" as const) : undefined);
  return (
    <nav ref={nav} className="section-nav" aria-label={label}>
      <Link href={`/my/${number}`} aria-current={at(`/my/${number}`)}>
        {overview}
      </Link>
      {parts.map((item) => (
        <Link
          key={item.key}
          href={`/my/${number}/${item.key}`}
          aria-current={(item.pages ?? [item.key]).map((page) => at(`/my/${number}/${page}`)).find(Boolean)}
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
