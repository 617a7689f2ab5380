"use server";

import { revalidatePath } from "next/cache";
import { moveChoice } from "../../../../../acts/application/change-choices";
import { REFUSED_WORDS } from "../../../../../text/words/office";
import type { Placed } from "../../../../../views/catalogue/sites";
import { perform, requirePerson } from "../../../../request";

/** How many are moved at once at most. */
const MOST = 100;

export interface Moved {
  readonly moved: number;
  /** Who was not moved, and why, by the number of the file. */
  readonly refused: readonly { readonly number: string; readonly why: string }[];
}

/** Moves each choice to the campus, in a transaction and with a mail of its own. */
export async function moveAll(
  code: string,
  choices: readonly Placed[],
  campus: string,
  reason: string,
): Promise<Moved> {
  const person = await requirePerson(`/office/programmes/${code}/sites`);
  const refused: { number: string; why: string }[] = [];
  const asked = choices.slice(0, MOST);
  for (const { applicationId, choiceId, number, language, mode, track } of asked) {
    const outcome = await perform(moveChoice, person.actor, {
      applicationId,
      choiceId,
      campus,
      language,
      mode,
      track,
      reason,
    });
    if (!outcome.ok) refused.push({ number, why: REFUSED_WORDS[outcome.reason] });
  }
  revalidatePath(`/office/programmes/${code}/sites`);
  return { moved: asked.length - refused.length, refused };
}
