"use client";

import { useEffect, useState } from "react";
import type { Locale } from "../../core/text/local-text";
import { formatMoment, formatZone } from "../../text/format";
import { sentence } from "../../text/sentence";

/** The same moment on the reader's own clock. The line is kept free until the browser has told its zone, so nothing jumps. */
export function LocalMoment({ instant, officeZone, locale }: { instant: string; officeZone: string; locale: Locale }) {
  const [zone, setZone] = useState<string | null>(null);
  useEffect(() => setZone(Intl.DateTimeFormat().resolvedOptions().timeZone), []);
  return (
    <span className="local-moment quiet">
      {zone && zone !== officeZone
        ? sentence(locale, "home.yourZone", { when: formatMoment(locale, instant, zone), zone: formatZone(zone) })
        : " "}
    </span>
  );
}
