import Link from "next/link";

/** The kinds of texts that the office keeps. */
export function TextKinds({ shown }: { shown: "texts" | "mails" | "reasons" }) {
  return (
    <nav className="kinds" aria-label="Texts">
      <Link href="/office/texts" aria-current={shown === "texts" ? "page" : undefined}>
        To write with
      </Link>
      <Link href="/office/texts/mails" aria-current={shown === "mails" ? "page" : undefined}>
        Mails that go by themselves
      </Link>
      <Link href="/office/texts/reasons" aria-current={shown === "reasons" ? "page" : undefined}>
        Why documents go back
      </Link>
    </nav>
  );
}
