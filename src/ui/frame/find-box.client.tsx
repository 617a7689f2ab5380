"use client";

import { AutoComplete, Input } from "antd";
import { useRouter } from "next/navigation";
import { type RefObject, useEffect, useRef, useState, useTransition } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { foundWords } from "../../text/words/office";
import type { QuickFound } from "../../views/turns/quick-find";
import { BESIDE_BOXES } from "./keys";
import type { OfficeGroup } from "./office-pages";
import { type PageAct, pageActs } from "./page-acts";
import { useQuickFind } from "./quick-find.client";

const MOST_ACTS = 5;

const lower = (text: string) => text.toLocaleLowerCase("en");

interface Option {
  readonly value: string;
  readonly label: React.ReactNode;
}

/** A line of the list: what it is, and what stands more quietly beside it. */
const line = (value: string, word: string, beside: string): Option => ({
  value,
  label: (
    <span className="found-line">
      <span>{word}</span>
      <span className="quiet">{beside}</span>
    </span>
  ),
});

/** What typing reaches: first the whole list, so that Enter alone looks through it, then what can be pressed here, files, pages, programmes. */
function optionsFor(
  words: string,
  searches: boolean,
  pages: readonly OfficeGroup[],
  acts: readonly PageAct[],
  found: QuickFound,
): Option[] {
  const typed = lower(words.trim());
  const fits = (word: string) => lower(word).includes(typed);
  return [
    ...(searches ? [line("search", `Everything with “${words.trim()}”`, "Enter")] : []),
    ...acts
      .flatMap((a, i) =>
        fits(a.word) ? [line(`act ${i}`, a.word, ["on this page", a.key].filter(Boolean).join(" · "))] : [],
      )
      .slice(0, MOST_ACTS),
    ...found.files.map((f) => {
      const how = [f.near ? "close to it" : "", foundWords(f.foundBy) ?? ""].filter(Boolean).join(", ");
      const about = [how, f.number, f.programmes.split(" ").join(", ")].filter(Boolean).join(" · ");
      return line(`file ${f.number}`, f.name, about);
    }),
    ...pages.flatMap((g) =>
      g.pages
        .filter((p) => fits(p.word) || fits(g.word))
        .map((p) => line(`page ${p.href}`, p.word, `page · g ${p.letter}`)),
    ),
    ...found.programmes.map((p) => line(`programme ${p.code}`, p.title, `programme · ${p.code}`)),
  ];
}

/**
 * The find field in the band of the office. By typing it reaches every file, page and programme, and every act of the page that is open;
 * `/` and `Ctrl K` lead to it, Enter alone looks through the whole list.
 */
export function FindBox({
  pages,
  findAt,
  field,
}: {
  pages: readonly OfficeGroup[];
  /** The list that is looked through; null for whoever has none. */
  findAt: string | null;
  field: RefObject<HTMLInputElement | null>;
}) {
  const router = useRouter();
  const [words, setWords] = useState("");
  const [open, setOpen] = useState(false);
  const [acts, setActs] = useState<readonly PageAct[]>([]);
  const found = useQuickFind(words, open);
  const [looking, look] = useTransition();
  // Until the found files are there the keys stay in this field: they must not act on the list that is about to go.
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current && !looking) field.current?.blur();
    looked.current = looking;
  }, [looking, field]);
  const begin = () => {
    setActs(pageActs());
    field.current?.focus();
    field.current?.select();
  };
  useHotkeys("/", begin, { ...BESIDE_BOXES, preventDefault: true, useKey: true, ignoreModifiers: true });
  useHotkeys("mod+k", begin, { preventDefault: true, enableOnFormTags: true });
  const leave = () => {
    setOpen(false);
    setWords("");
    field.current?.blur();
  };
  const search = () => {
    if (findAt === null) return;
    setOpen(false);
    look(() => router.push(`${findAt}?find=${encodeURIComponent(words)}`));
  };
  const choose = (value: string) => {
    const [kind = "", ...rest] = value.split(" ");
    const what = rest.join(" ");
    if (kind === "search") return search();
    leave();
    // The page may have been drawn anew since: the act is looked for again by its word.
    if (kind === "act")
      pageActs()
        .find(({ word }) => word === acts[Number(what)]?.word)
        ?.press();
    else if (kind === "file") router.push(`/office/files/${what}`);
    else if (kind === "programme") router.push(`/office/programmes/${what}`);
    else router.push(what);
  };
  return (
    <search className="find">
      <AutoComplete
        open={open && words.trim() !== ""}
        value={words}
        options={optionsFor(words, findAt !== null, pages, acts, found)}
        popupMatchSelectWidth={440}
        defaultActiveFirstOption
        listHeight={420}
        variant="borderless"
        onSelect={choose}
        onSearch={(typed) => {
          setWords(typed);
          setOpen(true);
        }}
        onFocus={() => setActs(pageActs())}
        onBlur={() => setOpen(false)}
        onInputKeyDown={(e) => {
          if (e.key === "Escape") leave();
        }}
      >
        <Input
          variant="borderless"
          ref={(input) => {
            field.current = input?.input ?? null;
          }}
          aria-label="Find anyone, any number, any page"
          placeholder="Find anyone, any number, any page"
          suffix={
            <span className="key" aria-hidden="true">
              /
            </span>
          }
        />
      </AutoComplete>
    </search>
  );
}
