import { z } from "zod";
import { type LocalText, writtenTextSchema } from "../text/local-text";
import { type RulebookBody, rulebookSchema } from "./rulebook";

/**
 * Parts that several rulebooks share: a piece of a rulebook of its own (a person section, a language requirement). A rulebook holds
 * a copy of each element, marked with the part it comes from, so that a published one stands alone.
 */
export const sharedPartSchema = z.object({
  key: z
    .string()
    .regex(/^[a-z][A-Za-z0-9]*$/u)
    .max(40),
  title: writtenTextSchema,
  body: rulebookSchema,
});
export type SharedPart = z.infer<typeof sharedPartSchema>;

export const AREA_KEYS = ["sections", "requirements", "measures", "entryRules", "fees"] as const;
export type AreaKey = (typeof AREA_KEYS)[number];

interface Element {
  readonly key: string;
  readonly part?: string | undefined;
  readonly title: LocalText;
}

/** The elements of one area, read by what all areas have in common. */
const elements = (body: RulebookBody, area: AreaKey): readonly Element[] => body[area];

/** Every area of a rulebook made anew from its elements. */
function mapAreas(
  body: RulebookBody,
  change: (own: readonly Element[], area: AreaKey) => readonly Element[],
): RulebookBody {
  // Each area gets back elements of its own kind: `change` only marks, takes out, or puts in those of a part's same area.
  const areas = Object.fromEntries(AREA_KEYS.map((area) => [area, [...change(elements(body, area), area)]]));
  return { ...body, ...areas };
}

function marked(element: Element, part: string | null): Element {
  const { part: _part, ...rest } = element;
  return part === null ? rest : { ...rest, part };
}

/** The parts that a rulebook holds copies of, in the order in which they come. */
export function partsIn(body: RulebookBody): readonly string[] {
  return [...new Set(AREA_KEYS.flatMap((area) => elements(body, area).flatMap((e) => e.part ?? [])))];
}

/** What a part has, but for what the rulebook does without. */
const wanted = (body: RulebookBody, part: SharedPart, area: AreaKey): readonly Element[] =>
  elements(part.body, area).filter(
    (e) => !body.without?.some((w) => w.part === part.key && w.area === area && w.key === e.key),
  );

/** A rulebook that does without fewer things, and says nothing of it where there is nothing. */
function withAll(body: RulebookBody, part: string): RulebookBody {
  const { without = [], ...rest } = body;
  const left = without.filter((w) => w.part !== part);
  return left.length > 0 ? { ...rest, without: left } : rest;
}

/** Does without one element of a shared part; the rest of the part goes on being followed. */
export function leaveOut(body: RulebookBody, area: AreaKey, key: string): RulebookBody {
  const part = elements(body, area).find((e) => e.key === key)?.part;
  if (part === undefined) return body;
  const rest = mapAreas(body, (own, at) => (at === area ? own.filter((e) => e.key !== key) : own));
  return { ...rest, without: [...(body.without ?? []), { part, area, key }] };
}

/** What a rulebook does without of a part, by the titles that it has there. */
export const leftOutOf = (body: RulebookBody, part: SharedPart): readonly string[] =>
  AREA_KEYS.flatMap((area) => {
    const kept = wanted(body, part, area);
    return elements(part.body, area).flatMap((e) => (kept.includes(e) ? [] : [e.title.en]));
  });

/** Takes a shared part out of a rulebook, whole. */
export const withoutPart = (body: RulebookBody, part: string): RulebookBody =>
  withAll(
    mapAreas(body, (own) => own.filter((e) => e.part !== part)),
    part,
  );

/** One area with a part's elements as the part has them now: in place of the old copies, new ones after the last of them. */
function refreshArea(own: readonly Element[], theirs: readonly Element[], part: string): readonly Element[] {
  const fresh = new Map(theirs.map((e) => [e.key, marked(e, part)]));
  const kept = own.flatMap((e) => {
    if (e.part !== part) return [e];
    const now = fresh.get(e.key);
    fresh.delete(e.key);
    return now ? [now] : [];
  });
  // What the part has in addition never takes the place of something that the rulebook has by the same key.
  const added = [...fresh.values()].filter((e) => !kept.some((k) => k.key === e.key));
  const last = kept.findLastIndex((e) => e.part === part);
  return last < 0 ? [...kept, ...added] : [...kept.slice(0, last + 1), ...added, ...kept.slice(last + 1)];
}

/** A rulebook whose copies of shared parts are what the parts are now; a part that is gone leaves its copy as it was. */
export function withParts(body: RulebookBody, parts: readonly SharedPart[]): RulebookBody {
  const used = parts.filter((p) => partsIn(body).includes(p.key));
  return used.reduce(
    (all, part) => mapAreas(all, (own, area) => refreshArea(own, wanted(all, part, area), part.key)),
    body,
  );
}

/** Puts a shared part into a rulebook, with all it has. What the rulebook has by the same key becomes the part’s. */
export function takePart(body: RulebookBody, part: SharedPart): RulebookBody {
  const adopted = mapAreas(withAll(body, part.key), (own, area) =>
    own.map((e) => (elements(part.body, area).some((t) => t.key === e.key) ? marked(e, part.key) : e)),
  );
  return mapAreas(adopted, (own, area) => refreshArea(own, elements(part.body, area), part.key));
}

/** Makes a rulebook’s copy of a part its own: it no longer follows the part. */
export function ownPart(body: RulebookBody, key: string): RulebookBody {
  return withAll(
    mapAreas(body, (own) => own.map((e) => (e.part === key ? marked(e, null) : e))),
    key,
  );
}

/** One text for one value, whatever the order in which its properties were stored. */
function plain(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    inner !== null && typeof inner === "object" && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

/** Marks one element as a copy of a part. */
export function copyOfPart(body: RulebookBody, area: AreaKey, key: string, part: string): RulebookBody {
  return mapAreas(body, (own, at) => (at === area ? own.map((e) => (e.key === key ? marked(e, part) : e)) : own));
}

/** Whether a rulebook’s copy of a part is what the part is now. */
export function isCurrent(body: RulebookBody, part: SharedPart): boolean {
  return AREA_KEYS.every((area) => {
    const own = elements(body, area).filter((e) => e.part === part.key);
    const theirs = wanted(body, part, area);
    return (
      own.length === theirs.length &&
      theirs.every((t) => own.some((o) => plain(marked(o, null)) === plain(marked(t, null))))
    );
  });
}

/** Marks what is the same as a shared part, where all of the part is there. */
export function recogniseParts(body: RulebookBody, parts: readonly SharedPart[]): RulebookBody {
  return parts.reduce((all, part) => {
    const next = mapAreas(all, (own, area) =>
      own.map((e) =>
        elements(part.body, area).some((t) => plain(marked(t, null)) === plain(marked(e, null)))
          ? marked(e, part.key)
          : e,
      ),
    );
    return isCurrent(next, part) ? next : all;
  }, body);
}

/** A part with one more element, for sharing what stands in a rulebook. */
export function sharedWith(part: SharedPart, area: AreaKey, element: Element): SharedPart {
  const body = mapAreas(part.body, (own, at) =>
    at === area ? [...own.filter((e) => e.key !== element.key), marked(element, null)] : own,
  );
  return { ...part, body };
}
