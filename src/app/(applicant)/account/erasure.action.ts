"use server";

import { revalidatePath } from "next/cache";
import { askErasure, keepMe } from "../../../acts/people/erasure";
import { sentence } from "../../../text/sentence";
import { locale, perform, requirePerson } from "../../request";

/** Asks for erasure; answers with why not, null where it is asked. */
export async function askToErase(): Promise<string | null> {
  const person = await requirePerson("/account");
  const outcome = await perform(askErasure, person.actor, {});
  revalidatePath("/account");
  return outcome.ok ? null : sentence(await locale(), `refused.${outcome.reason}`);
}

/** Takes the wish back, as long as nothing was erased. */
export async function takeBack(): Promise<void> {
  const person = await requirePerson("/account");
  await perform(keepMe, person.actor, {});
  revalidatePath("/account");
}
