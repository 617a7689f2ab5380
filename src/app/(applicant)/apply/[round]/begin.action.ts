"use server";

import { redirect } from "next/navigation";
import { z } from "zod";
import { saveAnswers } from "../../../../acts/save-answers";
import { startApplication } from "../../../../acts/start-application";
import { perform, requirePerson } from "../../../request";

/** What a self-check left in the browser; it is checked again field by field as it is saved. */
const keptSchema = z
  .array(z.object({ section: z.string(), entry: z.string(), field: z.string(), value: z.json() }))
  .max(2000);

function keptAnswers(text: string): z.output<typeof keptSchema> {
  try {
    const parsed = keptSchema.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}

export async function begin(form: FormData): Promise<void> {
  const text = (name: string): string | null => {
    const value = form.get(name);
    return typeof value === "string" && value !== "" ? value : null;
  };
  const roundId = text("round") ?? "";
  const { actor } = await requirePerson(`/apply/${roundId}`);
  const outcome = await perform(startApplication, actor, {
    roundId,
    campus: text("campus"),
    mode: text("mode"),
    track: text("track"),
  });
  if (!outcome.ok) redirect(`/apply/${roundId}?refused=${outcome.reason}`);
  const { applicationId, number, choiceId } = outcome.value;
  const kept = keptAnswers(text("answers") ?? "[]");
  // Section by section: what is no longer asked is left behind, and takes nothing else with it.
  for (const section of new Set(kept.map((answer) => answer.section))) {
    const own = kept.filter((answer) => answer.section === section);
    const save = (scope: string) =>
      perform(saveAnswers, actor, { applicationId, changes: own.map((answer) => ({ ...answer, scope, seen: 0 })) });
    const saved = await save("file");
    if (!saved.ok) await save(choiceId);
  }
  redirect(`/my/${number}`);
}
