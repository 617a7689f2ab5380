"use server";

import { revalidatePath } from "next/cache";
import { takeFile } from "../../acts/assessment/take-file";
import { orderCopies } from "../../acts/copies/copies";
import type { Reader } from "../../core/form/readers";
import { REFUSED_WORDS } from "../../text/words/office";
import { perform, requirePerson } from "../request";

/** Takes files in hand, each in a transaction of its own; gives the sentence for the first that was refused. */
export async function takeInHand(applicationIds: readonly string[]): Promise<string | null> {
  const person = await requirePerson("/office");
  let refused: string | null = null;
  for (const applicationId of applicationIds.slice(0, 200)) {
    const outcome = await perform(takeFile, person.actor, { applicationId, mine: true });
    if (!outcome.ok) refused ??= REFUSED_WORDS[outcome.reason];
  }
  revalidatePath("/office");
  return refused;
}

/** Asks for copies of files; the sentence says why not, null when they are being made. */
export async function copyThem(
  applicationIds: readonly string[],
  reader: Reader,
  documents: boolean,
): Promise<string | null> {
  const person = await requirePerson("/office");
  const outcome = await perform(orderCopies, person.actor, { applicationIds: [...applicationIds], reader, documents });
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
