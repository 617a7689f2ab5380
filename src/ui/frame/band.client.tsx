"use client";

import { usePathname, useRouter } from "next/navigation";
import { useEffect, useRef, useTransition } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { BESIDE_BOXES } from "./keys";
import { Way } from "./way.client";

/** One slim band of words, with a find field that `/` reaches from everywhere. */
export function Band({
  words,
  menu,
  name,
  findAt,
  signOut,
}: {
  /** The list that is looked through; null for whoever has none. */
  findAt: string | null;
  menu: readonly { readonly href: string; readonly word: string }[];
  words: readonly { readonly href: string; readonly word: string }[];
  name: string;
  signOut: () => Promise<void>;
}) {
  const path = usePathname();
  const router = useRouter();
  const find = useRef<HTMLInputElement>(null);
  const [looking, look] = useTransition();
  // Until the found files are there the keys stay in this field: they must not act on the list that is about to go.
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current && !looking) find.current?.blur();
    looked.current = looking;
  }, [looking]);
  useHotkeys(
    "/",
    () => {
      find.current?.focus();
      find.current?.select();
    },
    { ...BESIDE_BOXES, preventDefault: true, useKey: true, ignoreModifiers: true },
  );
  return (
    <header className="band">
      <Way loading="Loading …" href="/office" className="band-brand">
        Unvex
      </Way>
      <nav aria-label="Office">
        {words.map(({ href, word }) => (
          <Way loading="Loading …" key={href} href={href} aria-current={path === href ? "page" : undefined}>
            {word}
          </Way>
        ))}
      </nav>
      {findAt === null ? (
        <span className="find" />
      ) : (
        <search className="find">
          <form
            onSubmit={(e) => {
              e.preventDefault();
              const words = find.current?.value ?? "";
              look(() => router.push(`${findAt}?find=${encodeURIComponent(words)}`));
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
      )}
      <details className="name-menu">
        <summary>{name}</summary>
        <div>
          {menu.map(({ href, word }) => (
            <Way loading="Loading …" key={href} href={href}>
              {word}
            </Way>
          ))}
          <Way loading="Loading …" href="/account">
            Account
          </Way>
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
