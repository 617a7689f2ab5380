"use server";

import { revalidatePath } from "next/cache";
import { tryFileAgain } from "../../../acts/assessment/reassess";
import { changeRole, makeStaff } from "../../../acts/people/accounts";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

const text = (form: FormData, name: string): string => String(form.get(name) ?? "");

/** Makes a member of staff; answers with the sentence to show. */
export async function invite(_: string | null, form: FormData): Promise<string> {
  const person = await requirePerson("/office/people");
  const outcome = await perform(makeStaff, person.actor, {
    name: text(form, "name"),
    email: text(form, "email").trim(),
    role: text(form, "role") as never,
    scope: text(form, "scope").trim() || "*",
  }); // the act checks the role
  revalidatePath("/office/people");
  if (outcome.ok) return "Invited. The link in the mail works for three days.";
  if (outcome.reason === "invalid-input") return "Look at the name and the address again.";
  return outcome.reason === "already-done"
    ? "This address belongs to somebody already."
    : REFUSED_WORDS[outcome.reason];
}

export async function changeHeldRole(form: FormData): Promise<void> {
  const person = await requirePerson("/office/people");
  await perform(changeRole, person.actor, {
    personId: text(form, "personId"),
    role: text(form, "role") as never,
    scope: text(form, "scope"),
    held: false,
  }); // the act checks the role
  revalidatePath("/office/people");
}

/** Has a file that was set aside looked at again at once. */
export async function tryAgain(form: FormData): Promise<void> {
  const person = await requirePerson("/office/people");
  await perform(tryFileAgain, person.actor, { applicationId: text(form, "applicationId") });
  revalidatePath("/office/people");
}
