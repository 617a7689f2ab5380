"use server";

import { revalidatePath } from "next/cache";
import { giveBack } from "../../../acts/payments/payments";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

/** Books what finance gave back of a charge. @returns null when it was booked, else why not */
export async function bookGivenBack(
  applicationId: string,
  chargeId: string,
  minor: number,
  note: string,
): Promise<string | null> {
  const { actor } = await requirePerson("/office/money");
  const outcome = await perform(giveBack, actor, { applicationId, chargeId, minor, note });
  revalidatePath("/office/money");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
