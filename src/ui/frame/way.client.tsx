"use client";

import Link, { useLinkStatus } from "next/link";
import type { ComponentProps } from "react";

/** Says that a page is on its way as soon as its word was pressed, and says it to everybody once that takes a moment. */
function OnItsWay({ text }: { text: string }) {
  const { pending } = useLinkStatus();
  return pending ? (
    <span className="on-its-way" role="status" data-pending="true">
      {text}
    </span>
  ) : null;
}

/** A way to another page out of the frame. The frame, and the page that is left, stay usable until the other one is there. */
export function Way({ loading, children, ...link }: ComponentProps<typeof Link> & { readonly loading: string }) {
  return (
    <Link {...link}>
      {children}
      <OnItsWay text={loading} />
    </Link>
  );
}
