import { factNames } from "../rules/names";
import { planOf } from "./plan";
import type { RulebookBody } from "./rulebook";
import { factName, type Section } from "./section";

/**
 * The part of a form that the entry rules read, for a check before applying: the fields whose values some rule uses, and those
 * that decide whether such a field or its section applies at all. Which courses belong to which degree, and the like, stay
 * out: the check asks no more than the answer needs.
 */
export function selfCheckSections(body: RulebookBody): readonly Section[] {
  const wanted = new Set<string>(planOf(body).used);
  const placeOf = new Map<string, string>(
    body.sections.flatMap((s) => s.fields.map((f) => [`${factName(s)}.${f.key}`, `${s.key}.${f.key}`] as const)),
  );
  const add = (names: readonly string[]) => {
    for (const name of names) {
      const place = placeOf.get(name);
      if (place) wanted.add(place);
    }
  };
  const has = (section: Section) => section.fields.some((f) => wanted.has(`${section.key}.${f.key}`));
  // What a condition reads may itself stand under a condition: ask until nothing is added.
  for (let size = -1; size !== wanted.size; ) {
    size = wanted.size;
    for (const section of body.sections) {
      if (!has(section)) continue;
      if (section.when) add(factNames(section.when));
      for (const field of section.fields)
        if (field.when && wanted.has(`${section.key}.${field.key}`)) add(factNames(field.when, factName(section)));
    }
  }
  return body.sections.filter(has).map((section) => {
    const { intro: _intro, ...rest } = section;
    return { ...rest, scope: "file", fields: section.fields.filter((f) => wanted.has(`${section.key}.${f.key}`)) };
  });
}

/** The same rulebook with nothing but what the check needs. */
export function selfCheckBody(body: RulebookBody): RulebookBody {
  const sections = selfCheckSections(body).map((s) => ({ ...s, fields: [...s.fields] }));
  return { ...body, sections, requirements: [], fees: [] };
}
