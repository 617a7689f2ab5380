"use server";

import { revalidatePath } from "next/cache";
import { tellMissing } from "../../../acts/application/remind-drafts";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

/** How many drafts are written about at once at most: those of one page. */
const MOST = 50;

const WORDS: Readonly<Record<string, string>> = {
  ...REFUSED_WORDS,
  "already-done": "was written to less than twelve hours ago",
  locked: "is not a draft any more",
};

export interface Told {
  readonly told: number;
  /** Why somebody was not written to, by the number of the file. */
  readonly refused: readonly { readonly number: string; readonly why: string }[];
}

/** Writes about each draft what is missing in it, each in a transaction of its own. */
export async function tellAll(
  drafts: readonly { readonly id: string; readonly number: string }[],
  words: string,
): Promise<Told> {
  const person = await requirePerson("/office/drafts");
  const refused: { number: string; why: string }[] = [];
  const asked = drafts.slice(0, MOST);
  for (const { id, number } of asked) {
    const outcome = await perform(tellMissing, person.actor, { applicationId: id, words });
    if (!outcome.ok) refused.push({ number, why: WORDS[outcome.reason] ?? outcome.reason });
  }
  revalidatePath("/office/drafts");
  return { told: asked.length - refused.length, refused };
}
