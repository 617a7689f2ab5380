"use client";

import { AutoComplete, Input } from "antd";
import { useRouter } from "next/navigation";
import { type RefObject, useEffect, useRef, useState, useTransition } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { QuickFound } from "../../views/assessment/quick-find";
import { BESIDE_BOXES } from "./keys";
import type { OfficeGroup } from "./office-pages";
import { type PageAct, pageActs } from "./page-acts";

const LOOK_MS = 120;
const MOST_ACTS = 5;
const NOTHING: QuickFound = { files: [], programmes: [] };

/** What was found on the server for what is typed; what is found for an older word never takes the place of a newer one. */
function useQuickFind(words: string, asks: boolean): QuickFound {
  const [found, setFound] = useState(NOTHING);
  useEffect(() => {
    const typed = words.trim();
    if (!asks || typed.length < 2) return setFound(NOTHING);
    const gone = new AbortController();
    const look = async () => {
      const answer = await fetch(`/api/quick-find?${new URLSearchParams({ words: typed })}`, { signal: gone.signal });
      setFound(answer.ok ? ((await answer.json()) as QuickFound) : NOTHING); // our own route writes it so
    };
    const soon = setTimeout(() => void look().catch(() => undefined), LOOK_MS); // a line that is away finds nothing
    return () => {
      clearTimeout(soon);
      gone.abort();
    };
  }, [words, asks]);
  return found;
}

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

function groupsOf(words: string, pages: readonly OfficeGroup[], acts: readonly PageAct[], found: QuickFound) {
  const typed = lower(words.trim());
  const fits = (word: string) => lower(word).includes(typed);
  const lists: readonly (readonly [string, readonly Option[]])[] = [
    [
      "On this page",
      acts.flatMap((a, i) => (fits(a.word) ? [line(`act ${i}`, a.word, a.key ?? "")] : [])).slice(0, MOST_ACTS),
    ],
    [
      "Files",
      found.files.map((f) => line(`file ${f.number}`, f.name, `${f.number} · ${f.programmes.split(" ").join(", ")}`)),
    ],
    [
      "Pages",
      pages.flatMap((g) =>
        g.pages.filter((p) => fits(p.word) || fits(g.word)).map((p) => line(`page ${p.href}`, p.word, `g ${p.letter}`)),
      ),
    ],
    ["Programmes", found.programmes.map((p) => line(`programme ${p.code}`, p.title, p.code))],
  ];
  return lists
    .filter(([, options]) => options.length > 0)
    .map(([label, options]) => ({ label, options: [...options] }));
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
  const chosen = useRef(false);
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
  const choose = (value: string) => {
    const [kind = "", ...rest] = value.split(" ");
    const what = rest.join(" ");
    chosen.current = true;
    leave();
    if (kind === "act") acts[Number(what)]?.press();
    else if (kind === "file") router.push(`/office/files/${what}`);
    else if (kind === "programme") router.push(`/office/programmes/${what}`);
    else router.push(what);
  };
  const search = () => {
    if (chosen.current || findAt === null || words.trim() === "") return;
    setOpen(false);
    look(() => router.push(`${findAt}?find=${encodeURIComponent(words)}`));
  };
  return (
    <search className="find">
      <AutoComplete
        open={open && words.trim() !== ""}
        value={words}
        options={groupsOf(words, pages, acts, found)}
        popupMatchSelectWidth={440}
        listHeight={420}
        variant="borderless"
        defaultActiveFirstOption={false}
        onSelect={choose}
        onSearch={(typed) => {
          chosen.current = false;
          setWords(typed);
          setOpen(true);
        }}
        onFocus={() => setActs(pageActs())}
        onBlur={() => setOpen(false)}
        onInputKeyDown={(e) => {
          if (e.key === "Escape") leave();
          // The list takes Enter where one of its lines is lit.
          if (e.key === "Enter" && !e.currentTarget.getAttribute("aria-activedescendant")?.match(/_\d+$/u)) search();
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
