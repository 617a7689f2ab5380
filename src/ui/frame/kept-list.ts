/** The list of files that somebody came from, in its order, kept in the tab: whoever is through with one goes on to the next. */
export interface KeptList {
  readonly title: string;
  readonly files: readonly KeptFile[];
}

export interface KeptFile {
  readonly number: string;
  readonly name: string;
}

const KEY = "unvex.list";

const isKept = (value: unknown): value is KeptList =>
  typeof value === "object" && value !== null && "title" in value && "files" in value && Array.isArray(value.files);

export function keepList(list: KeptList): void {
  try {
    sessionStorage.setItem(KEY, JSON.stringify(list));
  } catch {
    // Where a browser keeps nothing, the list is one press away.
  }
}

function keptList(): KeptList | null {
  try {
    const value: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? "null");
    return isKept(value) ? value : null;
  } catch {
    return null;
  }
}

/** The file that follows another in the list that was seen last, and how many come after; null where there is none. */
export function fileAfter(number: string): (KeptFile & { readonly title: string; readonly left: number }) | null {
  const list = keptList();
  const at = list?.files.findIndex((f) => f.number === number) ?? -1;
  const next = at < 0 ? undefined : list?.files[at + 1];
  return list && next ? { ...next, title: list.title, left: list.files.length - at - 1 } : null;
}
