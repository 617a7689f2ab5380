"use server";

import { redirect } from "next/navigation";
import { startApplication } from "../../../../acts/start-application";
import { perform, requirePerson } from "../../../request";

export async function begin(form: FormData): Promise<void> {
  const roundId = String(form.get("round"));
  const person = await requirePerson(`/apply/${roundId}`);
  const outcome = await perform(startApplication, person.actor, { roundId });
  if (outcome.ok) redirect(`/my/${outcome.value.number}`);
  redirect(`/apply/${roundId}?refused=${outcome.reason}`);
}
