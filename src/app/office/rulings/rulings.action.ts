"use server";

import { revalidatePath } from "next/cache";
import { endRuling } from "../../../acts/rulings/rulings";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

export async function end(rulingId: string, reason: string): Promise<string | null> {
  const person = await requirePerson("/office/rulings");
  const outcome = await perform(endRuling, person.actor, { rulingId, reason });
  revalidatePath("/office/rulings");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
