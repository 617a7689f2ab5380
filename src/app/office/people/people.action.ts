"use server";

import { revalidatePath } from "next/cache";
import { tryFileAgain } from "../../../acts/assessment/reassess";
import { changeRole, makeStaff } from "../../../acts/people/accounts";
import { letBackIn } from "../../../acts/people/second-factor";
import { REFUSED_WORDS } from "../../../text/words/office";
import { perform, requirePerson } from "../../request";

const text = (form: FormData, name: string): string => String(form.get(name) ?? "").trim();

/** The role that a form names; the act checks it. */
const heldIn = (form: FormData) => ({
  role: text(form, "role") as never,
  scope: text(form, "scope") || "*",
  until: text(form, "until") || null,
});

/** Makes a member of staff; answers with the sentence to show. */
export async function invite(_: string | null, form: FormData): Promise<string> {
  const person = await requirePerson("/office/people");
  const outcome = await perform(makeStaff, person.actor, {
    name: text(form, "name"),
    email: text(form, "email"),
    ...heldIn(form),
  });
  revalidatePath("/office/people");
  if (outcome.ok) return "Invited. The link in the mail works for three days.";
  if (outcome.reason === "invalid-input") return "Look at the name and the address again.";
  return outcome.reason === "already-done"
    ? "This address belongs to somebody already. Give them the role below."
    : REFUSED_WORDS[outcome.reason];
}

const ONE_STAYS = "One administrator has to stay, without an end.";

/** Gives a role to somebody who is there. */
export async function giveRole(_: string | null, form: FormData): Promise<string> {
  const person = await requirePerson("/office/people");
  const outcome = await perform(changeRole, person.actor, {
    personId: text(form, "personId"),
    ...heldIn(form),
    held: true,
  });
  revalidatePath("/office/people");
  if (outcome.ok) return "Given.";
  if (outcome.reason === "invalid-input") return "Look at the programme and the day again.";
  return outcome.reason === "locked" ? ONE_STAYS : REFUSED_WORDS[outcome.reason];
}

/** Takes a role away; answers with what keeps it, null where it is gone. */
export async function takeRole(personId: string, role: string, scope: string): Promise<string | null> {
  const person = await requirePerson("/office/people");
  const outcome = await perform(changeRole, person.actor, { personId, role: role as never, scope, held: false }); // the act checks the role
  revalidatePath("/office/people");
  if (outcome.ok) return null;
  return outcome.reason === "locked" ? ONE_STAYS : REFUSED_WORDS[outcome.reason];
}

/** Lets somebody back in who has lost the second factor; answers with why not, null where it is done. */
export async function letIn(personId: string): Promise<string | null> {
  const person = await requirePerson("/office/people");
  const outcome = await perform(letBackIn, person.actor, { personId });
  revalidatePath("/office/people");
  if (outcome.ok) return null;
  return outcome.reason === "needs-second-person"
    ? "Another administrator has to let you back in. Your own second factor is changed on the page of your account."
    : REFUSED_WORDS[outcome.reason];
}

/** Has a file that was set aside looked at again at once. */
export async function tryAgain(form: FormData): Promise<void> {
  const person = await requirePerson("/office/people");
  await perform(tryFileAgain, person.actor, { applicationId: text(form, "applicationId") });
  revalidatePath("/office/people");
}
