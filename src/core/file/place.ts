import { z } from "zod";

/** Where something stands in a file. `scope` is `file` or the id of a choice; `entry` the id of a list entry, "" outside lists. */

/** One requirement, or one of those that are asked for entry by entry. */
export interface RequirementPlace {
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
}

/** One entry of a section, or what stands outside its list. */
export interface EntryPlace {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
}

/** One answer. */
export interface AnswerPlace extends EntryPlace {
  readonly field: string;
}

export const requirementPlace = {
  requirement: z.string().max(60),
  scope: z.string().max(40),
  entry: z.string().max(40).default(""),
};

export const answerPlace = {
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().max(40).default(""),
  field: z.string().max(60),
};

/** Keys by which places are found again; the parts hold no bar. */
export const sectionKey = ({ scope, section }: Pick<EntryPlace, "scope" | "section">): string => `${scope}|${section}`;
export const requirementKey = ({ requirement, scope, entry }: RequirementPlace): string =>
  `${scope}|${requirement}|${entry}`;
/** The same for a result, which calls its requirement by its key. */
export const resultKey = ({ scope, key, entry }: Omit<RequirementPlace, "requirement"> & { readonly key: string }) =>
  `${scope}|${key}|${entry}`;
export const entryKey = ({ scope, section, entry }: EntryPlace): string => `${scope}|${section}|${entry}`;
export const answerKey = ({ scope, section, entry, field }: AnswerPlace): string =>
  `${scope}|${section}|${entry}|${field}`;

/** Reads back what `answerKey` wrote. */
export function readAnswerKey(key: string): AnswerPlace {
  const [scope = "", section = "", entry = "", field = ""] = key.split("|");
  return { scope, section, entry, field };
}

/** Every act on a file names it. */
export const onFile = { applicationId: z.uuid() };
/** And one on a choice that, too. */
export const onChoice = { ...onFile, choiceId: z.uuid() };
