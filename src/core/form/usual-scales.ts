import type { Json } from "../file/facts";
import type { Field } from "../rulebook/section";

/**
 * The grade scales on which a qualification of the picked kind is marked, as the rulebook says with the kind.
 * @param values the fields of one entry
 * @returns null where nothing is picked, or nothing is said of what is picked
 */
export function usualScales(
  fields: readonly Pick<Field, "key" | "options">[],
  values: Readonly<Record<string, Json>>,
): readonly string[] | null {
  const said = fields.flatMap((f) => f.options?.find((o) => o.value === values[f.key])?.scales ?? []);
  return said.length > 0 ? said : null;
}

/** Those of a kind before all others, each in its order. */
export function usualFirst<Scale extends { readonly key: string }>(
  scales: readonly Scale[],
  usual: readonly string[] | null,
): Scale[] {
  if (usual === null) return [...scales];
  const own = (scale: Scale) => usual.includes(scale.key);
  return [...scales.filter(own), ...scales.filter((s) => !own(s))];
}
