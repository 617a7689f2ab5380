import Link from "next/link";
import type { Locale } from "../core/text/local-text";
import { sentence } from "../text/sentence";

/** There is nothing at an address, or nothing for whoever asks: what that may be, and a way on. */
export function NothingHere({ language, home }: { language: Locale; home: string }) {
  return (
    <>
      <h1>{sentence(language, "error.notFound")}</h1>
      <p>{sentence(language, "error.notFoundText")}</p>
      <p>
        <Link href={home}>{sentence(language, "error.home")}</Link>
      </p>
    </>
  );
}
