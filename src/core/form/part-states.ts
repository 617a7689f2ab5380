import { applies } from "../answers/completeness";
import type { ChoiceContext } from "../file/choice-context";
import type { Gap } from "../file/gap";
import { askedSections } from "./form-sections";

/** How a section stands on the list of parts. */
export interface PartState {
  readonly scope: string;
  readonly key: string;
  /** Whether some choice asks for it as the answers are now. */
  readonly applies: boolean;
  /** Whether nothing is missing in it. */
  readonly done: boolean;
}

/** All sections of a form as the list of parts shows them: what an answer on one page opens or closes on another. */
export function partStates(live: readonly ChoiceContext[], gaps: readonly Gap[]): readonly PartState[] {
  const open = new Set(gaps.map((g) => `${g.scope}|${g.section}`));
  return askedSections(live).map(({ section, scope, by }) => ({
    scope,
    key: section.key,
    applies: by.some(({ context, section: s }) => applies(s.when, context.source)),
    done: !open.has(`${scope}|${section.key}`),
  }));
}
