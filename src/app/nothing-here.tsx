import Link from "next/link";
import type { Locale } from "../core/text/local-text";
import { say } from "../text/say";

/** There is nothing at an address, or nothing for whoever asks: what that may be, and a way on. */
export function NothingHere({ language, home }: { language: Locale; home: string }) {
  return (
    <>
      <h1>{say(language, "error.notFound")}</h1>
      <p>{say(language, "error.notFoundText")}</p>
      <p>
        <Link href={home}>{say(language, "error.home")}</Link>
      </p>
    </>
  );
}
