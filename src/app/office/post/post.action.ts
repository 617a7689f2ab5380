"use server";

import { revalidatePath } from "next/cache";
import { askContact } from "../../../acts/contact/contact-notes";
import { REFUSED_WORDS } from "../../../text/words/office";
import type { PostPlace } from "../../../ui/contact/post-list.client";
import { perform, requirePerson } from "../../request";

/** How many are asked at once at most: those of one page. */
const MOST = 50;

const WORDS: Readonly<Record<string, string>> = {
  ...REFUSED_WORDS,
  "already-done": "was asked less than twelve hours ago",
  "not-found": "has another address by now",
};

export interface Asked {
  readonly asked: number;
  /** Why somebody was not asked, by the number of the file. */
  readonly refused: readonly { readonly number: string; readonly why: string }[];
}

/** Asks each applicant whether the address still holds, each in a transaction of its own. */
export async function askAll(
  files: readonly { readonly id: string; readonly number: string; readonly place: PostPlace }[],
): Promise<Asked> {
  const person = await requirePerson("/office/post");
  const refused: { number: string; why: string }[] = [];
  const asked = files.slice(0, MOST);
  for (const { id, number, place } of asked) {
    const outcome = await perform(askContact, person.actor, { applicationId: id, ...place });
    if (!outcome.ok) refused.push({ number, why: WORDS[outcome.reason] ?? outcome.reason });
  }
  revalidatePath("/office/post");
  return { asked: asked.length - refused.length, refused };
}
