import type { AreaKey } from "../parts";
import { AREA_KEYS } from "../parts";
import type { RulebookBody } from "../rulebook";
import type { RulebookProblem } from "./problem";

/** Where a part of a rulebook stands; `field` is one of a section. */
export interface PartPlace {
  readonly area: AreaKey;
  readonly index: number;
  readonly field?: number;
}

/** The key of the part that something is about, and of the field in it. */
function keysOf(about: string): readonly [part: string, inner: string] {
  const [place = ""] = about.split(": ");
  const [part = "", inner = ""] = place.split(".");
  return [part, inner];
}

/** Where the part stands that something is about; null where nothing has that key. */
export function placeOf(
  body: RulebookBody,
  { about, area }: Pick<RulebookProblem, "about" | "area">,
): PartPlace | null {
  const [part, inner] = keysOf(about);
  for (const at of area ? [area] : AREA_KEYS) {
    const index = body[at].findIndex((item) => item.key === part);
    if (index < 0) continue;
    const field = at === "sections" ? (body.sections[index]?.fields.findIndex((f) => f.key === inner) ?? -1) : -1;
    return field < 0 ? { area: at, index } : { area: at, index, field };
  }
  return null;
}

/** What the author called the part that something is about; its short name where it has no title yet. */
export function partTitle(body: RulebookBody, found: Pick<RulebookProblem, "about" | "area">): string {
  const place = placeOf(body, found);
  const [part, inner] = keysOf(found.about);
  const item = place && body[place.area][place.index];
  if (!place || !item) return inner === "" ? part : `${part}.${inner}`;
  const title = item.title.en || item.key;
  const field = place.field === undefined ? undefined : body.sections[place.index]?.fields[place.field];
  return field ? `${title}: ${field.title.en || field.key}` : title;
}
