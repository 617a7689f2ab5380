import { type FieldKind, NO_LISTED } from "../rulebook/section";
import type { LocalText } from "../text/local-text";
import type { Registers } from "./reference-set";

/** The lists of the office's standards out of which some kinds of fields are answered. */
export const LIST_OF_KIND = {
  scale: "scales",
  test: "tests",
  area: "areas",
  paper: "papers",
  graduateOf: "graduates",
} as const satisfies Readonly<Partial<Record<FieldKind, keyof Registers>>>;

const isListed = (kind: FieldKind): kind is keyof typeof LIST_OF_KIND => kind in LIST_OF_KIND;

/** One answer that may be picked. */
export interface Pick {
  readonly value: string;
  readonly title: LocalText;
}

const NONE: Pick = { value: NO_LISTED, title: { en: "None of these", fr: "Aucun de ceux-ci" } };

/** What the office's standards offer as answers to a field of a kind; null where they offer nothing to it. */
export function registerOptions(kind: FieldKind, registers: Registers): readonly Pick[] | null {
  if (!isListed(kind)) return null;
  const items = registers[LIST_OF_KIND[kind]].map(({ key, title }) => ({ value: key, title }));
  return kind === "graduateOf" ? [...items, NONE] : items;
}
