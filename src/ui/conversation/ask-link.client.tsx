"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";

/** The way to write to the office from a page of the application, about the part that the page is for. */
export function AskLink({ number, label }: { number: string; label: string }) {
  const [, , , part = ""] = usePathname().split("/");
  const section = part.split(".")[0] ?? "";
  const about = section === "conversation" || section === "" ? "" : `?about=${encodeURIComponent(section)}`;
  return part === "conversation" ? null : <Link href={`/my/${number}/conversation${about}`}>{label}</Link>;
}
