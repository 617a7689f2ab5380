import type { AnswerIndex, AnswerSheet } from "../answers/answer-index";
import type { ChoiceContext } from "../file/choice-context";
import type { Json } from "../file/facts";
import type { AnswerPlace } from "../file/place";
import type { RequirementResult } from "../file/result";
import { planOf } from "../rulebook/plan";
import type { Field } from "../rulebook/section";

/** Where values are looked for: the choices of a file, and its answers by place. */
interface Places {
  readonly contexts: readonly ChoiceContext[];
  readonly index: AnswerIndex;
}

/** The part of a section whose values stand beside a requirement. */
interface Beside {
  readonly sheet: AnswerSheet;
  readonly scope: string;
  readonly section: string;
  readonly fields: readonly Field[];
  /** The entries from one place to another, the last excluded, that belong to the requirement. */
  readonly from: number;
  readonly to: number;
  readonly belongs: ((entry: number) => boolean) | null;
}

/** A line stands beside the document of an entry when it names that entry, or none. */
const namesNoOther = (named: Json, entry: string): boolean => named === null || named === "" || named === entry;

function besides({ contexts, index }: Places, result: RequirementResult): readonly Beside[] {
  const found: Beside[] = [];
  for (const { rulebook, choice } of contexts) {
    if (!result.choices.includes(choice.id)) continue;
    for (const { section, fields, link } of planOf(rulebook.body).toConfirm.get(result.key) ?? []) {
      const scope = section.scope === "file" ? "file" : choice.id;
      const sheet = section.repeats ? index.list(scope, section.key) : index.outside(scope, section.key);
      const one = result.entry === "" ? -1 : sheet.placeOf(result.entry);
      const linked =
        result.entry !== "" && link?.of !== undefined && index.list("file", link.of).placeOf(result.entry) >= 0;
      const links = linked ? sheet.find(link.key) : -1;
      found.push({
        sheet,
        scope,
        section: section.key,
        fields,
        from: Math.max(one, 0),
        to: one < 0 ? sheet.ids.length : one + 1,
        belongs: linked ? (entry) => namesNoOther(sheet.valueAt(links, entry), result.entry) : null,
      });
    }
  }
  return found;
}

/** The values beside an accepted document, or in filled sections, that entry rules use and that nobody has confirmed, or whose claim has changed since. */
export function unconfirmed(input: Places, result: RequirementResult): readonly AnswerPlace[] {
  const open: AnswerPlace[] = [];
  for (const { sheet, scope, section, fields, from, to, belongs } of besides(input, result))
    for (let i = from; i < to; i += 1) {
      if (belongs !== null && !belongs(i)) continue;
      for (const { key } of fields)
        if (sheet.isUnconfirmedAt(sheet.find(key), i))
          open.push({ scope, section, entry: sheet.ids[i] ?? "", field: key });
    }
  return open;
}

/** How many they are. */
export function countUnconfirmed(input: Places, result: RequirementResult): number {
  let count = 0;
  for (const { sheet, fields, from, to, belongs } of besides(input, result))
    for (const { key } of fields) {
      const place = sheet.find(key);
      if (place < 0) continue;
      for (let i = from; i < to; i += 1)
        if ((belongs === null || belongs(i)) && sheet.isUnconfirmedAt(place, i)) count += 1;
    }
  return count;
}
