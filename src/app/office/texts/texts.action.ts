"use server";

import { revalidatePath } from "next/cache";
import { dropText, saveText } from "../../../acts/conversation/texts";
import { saveReason } from "../../../acts/evidence/return-reasons";
import { saveWording } from "../../../acts/mail/wordings";
import type { WrittenText } from "../../../core/conversation/inputs";
import type { WrittenReason } from "../../../core/evidence/return-reasons";
import { REFUSED_WORDS } from "../../../text/words/office";
import type { SaveWording } from "../../../ui/mail/mail-wording.client";
import { perform, requirePerson } from "../../request";

/** Saves a text; the sentence says why not. */
export async function saveOfficeText(text: WrittenText): Promise<string | null> {
  const person = await requirePerson("/office/texts");
  const outcome = await perform(saveText, person.actor, text);
  revalidatePath("/office/texts");
  if (outcome.ok) return null;
  const fields = Array.isArray(outcome.details?.fields) ? outcome.details.fields.map((f) => `{${String(f)}}`) : [];
  switch (outcome.reason) {
    case "unknown-field":
      return `There is no field ${fields.join(", ")}. Choose one of those below the boxes.`;
    case "already-done":
      return "Another text has this name. Give this one another.";
    case "invalid-input":
      return "A text needs a name, its words in both languages, and a place where it is offered.";
    default:
      return REFUSED_WORDS[outcome.reason];
  }
}

/** Keeps the words of the office for a mail; the sentence says why not. */
export async function saveMailWording(wording: Parameters<SaveWording>[0]): Promise<string | null> {
  const person = await requirePerson("/office/texts/mails");
  const outcome = await perform(saveWording, person.actor, wording);
  revalidatePath(`/office/texts/mails/${wording.template}`);
  if (outcome.ok) return null;
  if (outcome.reason === "invalid-input") return "A mail needs a subject and a text in both languages.";
  return outcome.reason === "unknown-field"
    ? "There is something wrong with the fields; the line below the text says what."
    : REFUSED_WORDS[outcome.reason];
}

/** Keeps a reason for which documents go back; the sentence says why not. */
export async function saveReturnReason(reason: WrittenReason): Promise<string | null> {
  const person = await requirePerson("/office/texts/reasons");
  const outcome = await perform(saveReason, person.actor, reason);
  revalidatePath("/office/texts/reasons");
  if (outcome.ok) return null;
  return outcome.reason === "invalid-input"
    ? "A reason needs a name for us, and its words in both languages."
    : REFUSED_WORDS[outcome.reason];
}

/** Takes a text away. */
export async function dropOfficeText(textId: string): Promise<string | null> {
  const person = await requirePerson("/office/texts");
  const outcome = await perform(dropText, person.actor, { textId });
  revalidatePath("/office/texts");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
