"use server";

import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import type { Outcome } from "../../../acts/act";
import { askPreview } from "../../../acts/rulebook-previews";
import { draftRulebook, dropRulebook, editRulebook, publishDraft } from "../../../acts/rulebooks";
import type { RulebookBody } from "../../../core/rulebook/rulebook";
import { REFUSED_WORDS } from "../../../text/office";
import { rulebookPage } from "../../../views/rulebooks";
import { perform, requirePerson, see } from "../../request";

const actor = async () => (await requirePerson("/office/rulebooks")).actor;

const refusedText = (outcome: Extract<Outcome<unknown>, { ok: false }>): string => {
  const fields = outcome.details?.fields;
  return outcome.reason === "invalid-input" && Array.isArray(fields)
    ? `It cannot be published yet: ${fields.slice(0, 5).join("; ")}${fields.length > 5 ? " and more" : ""}.`
    : (REFUSED_WORDS[outcome.reason] ?? outcome.reason);
};

export async function beginDraft(form: FormData): Promise<void> {
  const intakeId = String(form.get("intake"));
  const from = String(form.get("from") ?? "");
  const outcome = await perform(draftRulebook, await actor(), { intakeId, from: from === "" ? null : from });
  revalidatePath("/office/rulebooks");
  if (outcome.ok) redirect(`/office/rulebooks/${outcome.value.rulebookId}`);
  redirect("/office/rulebooks");
}

export async function storeDraft(
  rulebookId: string,
  edit: number,
  body: RulebookBody,
): Promise<{ readonly edit: number } | { readonly refused: string }> {
  const person = await actor();
  const outcome = await perform(editRulebook, person, { rulebookId, edit, body });
  if (outcome.ok) return outcome.value;
  if (outcome.reason === "invalid-input")
    return { refused: "Not saved yet: a value is not whole. Mend it, and everything is saved." };
  if (outcome.reason !== "changed-meanwhile" && outcome.reason !== "already-done")
    return { refused: refusedText(outcome) };
  const now = await see(rulebookPage, person, { rulebookId });
  const who = now?.editedBy ?? "Somebody";
  return {
    refused:
      outcome.reason === "already-done"
        ? "It was published meanwhile. Export what stands here, load the page again and begin a new draft."
        : `${who} changed this draft meanwhile. Export what stands here, then load the page again to see theirs.`,
  };
}

export async function throwAway(rulebookId: string): Promise<string | null> {
  const outcome = await perform(dropRulebook, await actor(), { rulebookId });
  if (!outcome.ok) return refusedText(outcome);
  revalidatePath("/office/rulebooks");
  redirect("/office/rulebooks");
}

export async function beginPreview(rulebookId: string): Promise<string | null> {
  const outcome = await perform(askPreview, await actor(), { rulebookId });
  revalidatePath(`/office/rulebooks/${rulebookId}/changes`);
  return outcome.ok ? null : refusedText(outcome);
}

export async function publish(rulebookId: string, edit: number, note: string): Promise<string | null> {
  const outcome = await perform(publishDraft, await actor(), { rulebookId, edit, note });
  if (!outcome.ok && outcome.reason === "already-done")
    return "A colleague has published this draft already. Load the page again to see it.";
  if (!outcome.ok) return refusedText(outcome);
  revalidatePath("/office/rulebooks", "layout");
  redirect(`/office/rulebooks/${rulebookId}`);
}
