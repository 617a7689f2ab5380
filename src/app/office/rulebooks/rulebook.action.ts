"use server";

import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import type { z } from "zod";
import type { Outcome } from "../../../acts/act/act";
import { askPreview } from "../../../acts/rulebook/previews";
import { draftRulebook, dropRulebook, editRulebook, publishDraft } from "../../../acts/rulebook/rulebooks";
import { dropPart, savePart, shareElement } from "../../../acts/rulebook/shared-parts";
import type { AreaKey } from "../../../core/rulebook/parts";
import { EMPTY_RULEBOOK, type RulebookBody } from "../../../core/rulebook/rulebook";
import type { LocalText } from "../../../core/text/local-text";
import { REFUSED_WORDS } from "../../../text/words/office";
import { type FormPreview, formPreview } from "../../../views/form/form-preview";
import { rulebookPage } from "../../../views/rulebook/rulebooks";
import { perform, requirePerson, see } from "../../request";

const actor = async () => (await requirePerson("/office/rulebooks")).actor;

const refusedText = (outcome: Extract<Outcome<unknown>, { ok: false }>): string => {
  const fields = outcome.details?.fields;
  return outcome.reason === "invalid-input" && Array.isArray(fields)
    ? `It cannot be published yet: ${fields.slice(0, 5).join("; ")}${fields.length > 5 ? " and more" : ""}.`
    : REFUSED_WORDS[outcome.reason];
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

export async function shareOne(
  rulebookId: string,
  edit: number,
  element: { readonly area: AreaKey; readonly key: string; readonly into: string | null },
): Promise<{ readonly edit: number; readonly body: RulebookBody } | { readonly refused: string }> {
  const outcome = await perform(shareElement, await actor(), { rulebookId, edit, ...element });
  revalidatePath("/office/rulebooks/parts", "layout");
  if (outcome.ok) return outcome.value;
  if (outcome.reason === "invalid-input") return { refused: "Give it a title in both languages first." };
  if (outcome.reason === "already-done")
    return { refused: `There is a shared part called ${element.key} already. Share it as a piece of that one.` };
  return { refused: refusedText(outcome) };
}

export async function storePart(
  part: { readonly key: string; readonly title: LocalText },
  edit: number,
  body: RulebookBody,
): Promise<{ readonly edit: number } | { readonly refused: string }> {
  const outcome = await perform(savePart, await actor(), { ...part, body, edit });
  if (outcome.ok) return outcome.value;
  return {
    refused:
      outcome.reason === "changed-meanwhile"
        ? "Somebody changed this part meanwhile. Load the page again to see it."
        : outcome.reason === "invalid-input"
          ? "Not saved yet: a value is not whole. Mend it, and everything is saved."
          : refusedText(outcome),
  };
}

export async function beginPart(_: string | null, form: FormData): Promise<string | null> {
  const key = String(form.get("key") ?? "").trim();
  const text = (name: string) => String(form.get(name) ?? "").trim();
  const title = { en: text("en"), fr: text("fr") };
  const outcome = await perform(savePart, await actor(), { key, title, body: EMPTY_RULEBOOK, edit: null });
  if (!outcome.ok && outcome.reason === "invalid-input")
    return "Give a short name of letters without spaces (for example “funding”), and a title in both languages.";
  if (!outcome.ok && outcome.reason === "already-done") return `There is a shared part called ${key} already.`;
  if (!outcome.ok) return refusedText(outcome);
  revalidatePath("/office/rulebooks/parts");
  redirect(`/office/rulebooks/parts/${key}`);
}

export async function giveUpPart(key: string): Promise<string | null> {
  const outcome = await perform(dropPart, await actor(), { key });
  if (!outcome.ok) return refusedText(outcome);
  revalidatePath("/office/rulebooks", "layout");
  redirect("/office/rulebooks/parts");
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

/** Tries a form out; nothing is stored. */
export async function tryForm(input: z.input<(typeof formPreview)["input"]>): Promise<FormPreview | null> {
  return see(formPreview, await actor(), input);
}
