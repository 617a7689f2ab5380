import Link from "next/link";
import type { Locale } from "../../../core/text/local-text";
import { sentence } from "../../../text/sentence";
import type { ClosedProgramme } from "../../../views/application/closed-to-me";

/** Said before anything is chosen: what this person told does not open the programme, which condition says so, and whom to ask. */
export function ClosedNote({ closed, language }: { closed: ClosedProgramme | undefined; language: Locale }) {
  if (!closed) return null;
  return (
    <p className="notice">
      {sentence(language, "finder.closedToMe", { rules: closed.rules.map((r) => r[language]).join("; ") })}{" "}
      <Link href={`/my/${closed.number}`}>{sentence(language, "finder.toldIn", { number: closed.number })}</Link>{" "}
      {sentence(language, "finder.exception")}
    </p>
  );
}
