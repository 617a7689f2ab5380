/** What no column can hold: a NUL, or half of a character that is written as two. */
const UNREADABLE = /[\0\p{Cs}]/u;

/** Nothing that people fill in stands deeper within something else. */
const DEEPEST = 60;

/** Whether something that came from outside is nested deeper than anything that people fill in. */
export function isTooDeep(value: unknown, depth = 0): boolean {
  if (typeof value !== "object" || value === null || ArrayBuffer.isView(value)) return false;
  return depth >= DEEPEST || Object.values(value).some((inner) => isTooDeep(inner, depth + 1));
}

/** Whether something holds a text that cannot be kept, wherever it stands in it; bytes are no text. */
export function isUnreadable(value: unknown): boolean {
  if (typeof value === "string") return UNREADABLE.test(value);
  if (typeof value !== "object" || value === null || ArrayBuffer.isView(value)) return false;
  return Object.entries(value).some(([name, inner]) => UNREADABLE.test(name) || isUnreadable(inner));
}

/** The same for reading: without the signs that are kept nowhere, so that nothing is found by them. */
export function readableQuestion<T>(value: T): T {
  if (isTooDeep(value) || !isUnreadable(value)) return value;
  const clean = (part: unknown): unknown =>
    typeof part === "string"
      ? part.replace(/[\0\p{Cs}]/gu, "")
      : Array.isArray(part)
        ? part.map(clean)
        : typeof part === "object" && part !== null && Object.getPrototypeOf(part) === Object.prototype
          ? Object.fromEntries(Object.entries(part).map(([name, inner]) => [name, clean(inner)]))
          : part;
  return clean(value) as T; // the same shape, with other texts
}
