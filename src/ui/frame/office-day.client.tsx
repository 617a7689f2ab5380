"use client";

import { createContext, type ReactNode, useContext } from "react";
import type { Locale } from "../../core/text/local-text";
import { formatDayOf } from "../../text/format";

/** An instant becomes a day only on some clock: here it is the office's, which every page is given once. */
const OfficeZone = createContext<string | null>(null);

export function OfficeZoneProvider({ zone, children }: { zone: string; children: ReactNode }) {
  return <OfficeZone value={zone}>{children}</OfficeZone>;
}

/** The zone of the office, as its IANA name. */
export function useOfficeZone(): string {
  const zone = useContext(OfficeZone);
  if (zone === null) throw new Error("the day of an instant needs the office's zone around it");
  return zone;
}

/** The day of an instant at the office: 3 Feb 2027. */
export function OfficeDay({ at, locale = "en" }: { at: string; locale?: Locale }) {
  return formatDayOf(locale, at, useOfficeZone());
}
