"use client";

import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import { useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";

/** One slim band of words, with a find field that `/` reaches from everywhere. */
export function Band({
  words,
  name,
  signOut,
}: {
  words: readonly { readonly href: string; readonly word: string }[];
  name: string;
  signOut: () => Promise<void>;
}) {
  const path = usePathname();
  const router = useRouter();
  const find = useRef<HTMLInputElement>(null);
  useHotkeys(
    "/",
    () => {
      find.current?.focus();
      find.current?.select();
    },
    { preventDefault: true, useKey: true, ignoreModifiers: true },
  );
  return (
    <header className="band">
      <Link href="/office" className="band-brand">
        Unvex
      </Link>
      <nav aria-label="Office">
        {words.map(({ href, word }) => (
          <Link key={href} href={href} aria-current={path === href ? "page" : undefined}>
            {word}
          </Link>
        ))}
      </nav>
      <search className="find">
        <form
          onSubmit={(e) => {
            e.preventDefault();
            router.push(`/office?find=${encodeURIComponent(find.current?.value ?? "")}`);
          }}
        >
          <input
            ref={find}
            name="find"
            aria-label="Find anyone, any number"
            placeholder="Find anyone, any number"
            onKeyDown={(e) => (e.key === "Escape" ? e.currentTarget.blur() : undefined)}
          />
          <span className="key" aria-hidden="true">
            /
          </span>
        </form>
      </search>
      <details className="name-menu">
        <summary>{name}</summary>
        <div>
          <Link href="/account">Account</Link>
          <form action={signOut}>
            <button type="submit" className="link-button">
              Sign out
            </button>
          </form>
        </div>
      </details>
    </header>
  );
}
