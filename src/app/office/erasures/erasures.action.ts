"use server";

import { revalidatePath } from "next/cache";
import { answerErasure } from "../../../acts/people/erasure";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

/** Erases what may go of somebody who asked; answers with why not, null where it is done. */
export async function erase(requestId: string): Promise<string | null> {
  const person = await requirePerson("/office/erasures");
  const outcome = await perform(answerErasure, person.actor, { requestId });
  revalidatePath("/office/erasures");
  if (outcome.ok) return null;
  return outcome.reason === "locked"
    ? "They work in the office: take their roles away first."
    : outcome.reason === "already-done"
      ? "A colleague has done it already, or they took the wish back."
      : REFUSED_WORDS[outcome.reason];
}
