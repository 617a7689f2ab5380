"use client";

import { useState } from "react";

/** One press that has mail tried again, and says what came of it. */
export function TryMail({ label, name, act }: { label: string; name?: string; act: () => Promise<string> }) {
  const [said, setSaid] = useState<string | null>(null);
  return said === null ? (
    <button
      type="button"
      className="link-button"
      aria-label={name === undefined ? undefined : `${label}: ${name}`}
      onClick={() => void act().then(setSaid)}
    >
      {label}
    </button>
  ) : (
    <span role="status">{said}</span>
  );
}
