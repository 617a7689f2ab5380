"use server";

import { revalidatePath } from "next/cache";
import { placeMail, putMailAway } from "../../../acts/conversation/incoming";
import { REFUSED_WORDS } from "../../../text/words/office";
import { fileAt } from "../../../views/mail/incoming";
import { perform, requirePerson, see } from "../../request";

const person = () => requirePerson("/office/mail-in");

/** Places a mail in the file of a number. @returns null when it was done, else the sentence that says why not */
export async function placeMailIn(mailId: string, number: string, as: "message" | "kept"): Promise<string | null> {
  const { actor } = await person();
  const file = await see(fileAt, actor, { number });
  if (!file) return "There is no file with this number that you work on. It looks like 27-00012.";
  const outcome = await perform(placeMail, actor, { applicationId: file.applicationId, mailId, as });
  revalidatePath("/office/mail-in");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

export async function moveAway(mailId: string, away: boolean): Promise<string | null> {
  const outcome = await perform(putMailAway, (await person()).actor, { mailId, away });
  revalidatePath("/office/mail-in");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
