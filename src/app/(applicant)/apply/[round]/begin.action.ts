"use server";

import { redirect } from "next/navigation";
import { z } from "zod";
import { startApplication } from "../../../../acts/application/start-application";
import { saveAnswers } from "../../../../acts/form/save-answers";
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
    language: text("language"),
    mode: text("mode"),
    track: text("track"),
  });
  if (!outcome.ok) redirect(`/apply/${roundId}?refused=${outcome.reason}`);
  const { applicationId, number, choiceId } = outcome.value;
  const kept = keptAnswers(text("answers") ?? "[]");
  const save = async (scope: string, answers: typeof kept) => {
    const changes = answers.map((answer) => ({ ...answer, scope, seen: 0 }));
    const saved = await perform(saveAnswers, actor, { applicationId, changes });
    return saved.ok ? answers.filter((_, i) => saved.value.results[i]?.state === "refused") : answers;
  };
  // What belongs to no section of the file may belong to one of the choice; what is no longer asked is left behind.
  await save(choiceId, await save("file", kept));
  redirect(`/my/${number}`);
}
