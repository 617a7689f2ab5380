import { LEVELS, type Level } from "../../../core/catalogue/programme";

/** What a visitor searches for, as it stands in the address of the page. */
export interface FinderQuery {
  readonly words: string;
  readonly level: Level | null;
  /** The award as it stands before the title. */
  readonly award: string | null;
  /** The body that runs it: a partner by its name, or `ours`. */
  readonly by: string | null;
  readonly field: string | null;
  readonly language: string | null;
  /** A campus, or a region with all of its own. */
  readonly campus: string | null;
  readonly start: string | null;
  readonly open: boolean;
  readonly citizenships: readonly string[];
  readonly residence: string | null;
}

export type SearchParams = Readonly<Record<string, string | readonly string[] | undefined>>;

const MOST_CITIZENSHIPS = 2;

/** Reads the address; whatever it holds that is no answer is left out. */
export function readQuery(params: SearchParams): FinderQuery {
  const one = (key: string): string | null => {
    const value = params[key];
    const text = typeof value === "string" ? value : value?.[0];
    return text === undefined || text === "" ? null : text;
  };
  const from = params.from;
  const level = LEVELS.find((l) => l === one("level")) ?? null;
  const start = one("start");
  return {
    words: one("q")?.slice(0, 200) ?? "",
    level,
    award: one("award")?.slice(0, 40) ?? null,
    by: one("by")?.slice(0, 80) ?? null,
    field: one("field")?.slice(0, 3) ?? null,
    language: one("language")?.slice(0, 3) ?? null,
    campus: one("campus")?.slice(0, 80) ?? null,
    start: start && /^\d{4}-\d{2}-\d{2}$/u.test(start) ? start : null,
    open: one("open") === "1",
    citizenships: (typeof from === "string" ? [from] : (from ?? []))
      .filter((c) => /^[A-Z]{2,3}$/u.test(c))
      .slice(0, MOST_CITIZENSHIPS),
    residence: one("lives")?.slice(0, 3) ?? null,
  };
}

/** The address of a query, with changes; parts that say nothing are left out. */
export function queryString(query: FinderQuery, change: Partial<FinderQuery> = {}): string {
  const { words, level, award, by, field, language, campus, start, open, citizenships, residence } = {
    ...query,
    ...change,
  };
  const params = new URLSearchParams();
  const add = (key: string, value: string | null) => {
    if (value) params.append(key, value);
  };
  add("q", words);
  add("level", level);
  add("award", award);
  add("by", by);
  add("field", field);
  add("language", language);
  add("campus", campus);
  add("start", start);
  add("open", open ? "1" : null);
  for (const code of citizenships) add("from", code);
  add("lives", residence);
  const text = params.toString();
  return text === "" ? "" : `?${text}`;
}

/** Only what the visitor says of themselves: it goes along to the pages of programmes. */
export function personString({ citizenships, residence }: FinderQuery): string {
  const params = new URLSearchParams(citizenships.map((c) => ["from", c]));
  if (residence) params.append("lives", residence);
  const text = params.toString();
  return text === "" ? "" : `?${text}`;
}
