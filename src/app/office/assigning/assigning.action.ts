"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import { dropAbsence, noteAbsence, saveAssigning } from "../../../acts/turns/assigning";
import type { noteAbsenceInput, saveAssigningInput } from "../../../core/turns/assigning";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

const PAGE = "/office/assigning";

/** Replaces the rules; the sentence says why not. */
export async function saveRules(input: z.input<typeof saveAssigningInput>): Promise<string | null> {
  const person = await requirePerson(PAGE);
  const outcome = await perform(saveAssigning, person.actor, input);
  if (outcome.ok) revalidatePath(PAGE);
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** Notes when somebody is away; the sentence says why not. */
export async function awayFrom(input: z.input<typeof noteAbsenceInput>): Promise<string | null> {
  const person = await requirePerson(PAGE);
  const outcome = await perform(noteAbsence, person.actor, input);
  if (outcome.ok) revalidatePath(PAGE);
  if (outcome.ok) return null;
  return outcome.reason === "already-done"
    ? "They are away on some of these days already."
    : REFUSED_WORDS[outcome.reason];
}

/** Takes an absence away. */
export async function backAgain(absenceId: string): Promise<string | null> {
  const person = await requirePerson(PAGE);
  const outcome = await perform(dropAbsence, person.actor, { absenceId });
  if (outcome.ok) revalidatePath(PAGE);
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
