"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

export interface LookActs {
  /** @param at when the list was read: what came later stays new */
  readonly seen: (at: string) => Promise<string | null>;
  readonly takeBack: () => Promise<string | null>;
}

/** Says that one has seen what came in, and takes that back. */
export function SeenPress({
  readAt,
  count,
  looked,
  acts,
}: {
  readAt: string;
  count: number;
  looked: boolean;
  acts: LookActs;
}) {
  const router = useRouter();
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const go = (act: () => Promise<string | null>) =>
    begin(async () => {
      setWrong(await act());
      router.refresh();
    });
  return (
    <p className="seen-press">
      {count > 0 ? (
        <button type="button" className="link-button" disabled={busy} onClick={() => go(() => acts.seen(readAt))}>
          I have seen these
        </button>
      ) : null}{" "}
      {looked ? (
        <button type="button" className="link-button" disabled={busy} onClick={() => go(acts.takeBack)}>
          Take my last look back
        </button>
      ) : null}
      <Wrong text={wrong} />
    </p>
  );
}
