"use server";

import { revalidatePath } from "next/cache";
import { tryMailAgain } from "../../../acts/mail/messages";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

/** Has one mail, or all that may still arrive, tried again at once; answers with the sentence to show. */
export async function tryMail(messageId: string | null): Promise<string> {
  const person = await requirePerson("/office/mail");
  const outcome = await perform(tryMailAgain, person.actor, { messageId });
  revalidatePath("/office/mail");
  if (!outcome.ok) return REFUSED_WORDS[outcome.reason];
  const { count } = outcome.value;
  return count === 0
    ? "It has gone out meanwhile."
    : count === 1
      ? "It is tried now."
      : `${count} mails are tried now.`;
}
