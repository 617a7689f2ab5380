"use client";

import { usePathname } from "next/navigation";
import { type ReactNode, useEffect, useRef } from "react";

/** The ways through the site: in a row where there is room, behind one button on a phone. */
export function NavMenu({ word, children }: { word: string; children: ReactNode }) {
  const nav = useRef<HTMLElement>(null);
  const page = usePathname();
  // biome-ignore lint/correctness/useExhaustiveDependencies: whoever has come to another page has chosen
  useEffect(() => {
    if (nav.current?.matches(":popover-open")) nav.current.hidePopover();
  }, [page]);
  return (
    <>
      <button type="button" className="light-menu" popoverTarget="ways">
        {word}
      </button>
      <nav ref={nav} id="ways" popover="auto" aria-label="Unvex">
        {children}
      </nav>
    </>
  );
}
