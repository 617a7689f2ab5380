"use server";

import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import type { Outcome } from "../../../acts/act/act";
import { askReferencePreview } from "../../../acts/rulebook/previews";
import {
  draftReferenceSet,
  dropReferenceDraft,
  editReferenceSet,
  publishReferenceSet,
} from "../../../acts/standards/reference-set";
import type { ReferenceSet } from "../../../core/standards/reference-set";
import { REFUSED_WORDS } from "../../../text/words/office";
import { standards } from "../../../views/standards/standards";
import { perform, requirePerson, see } from "../../request";

const actor = async () => (await requirePerson("/office/standards")).actor;

const refused = (outcome: Extract<Outcome<unknown>, { ok: false }>): string =>
  outcome.reason === "invalid-input"
    ? "Something has to be corrected first; the list above says what."
    : REFUSED_WORDS[outcome.reason];

export async function beginStandards(): Promise<void> {
  await perform(draftReferenceSet, await actor(), {});
  revalidatePath("/office/standards");
  redirect("/office/standards");
}

export async function storeStandards(
  edit: number,
  body: ReferenceSet,
): Promise<{ readonly edit: number } | { readonly refused: string }> {
  const person = await actor();
  const outcome = await perform(editReferenceSet, person, { edit, body });
  if (outcome.ok) {
    revalidatePath("/office/standards");
    return outcome.value;
  }
  if (outcome.reason === "invalid-input")
    return { refused: "Not saved yet: a value is not whole. Mend it, and everything is saved." };
  if (outcome.reason === "already-done")
    return {
      refused: "The draft was put in force or thrown away meanwhile. Load the page again to see what counts now.",
    };
  if (outcome.reason !== "changed-meanwhile") return { refused: refused(outcome) };
  const now = await see(standards, person, {});
  return { refused: `${now?.draft?.by ?? "Somebody"} changed this draft meanwhile. Load the page again to see it.` };
}

export async function dropStandards(): Promise<string | null> {
  const outcome = await perform(dropReferenceDraft, await actor(), {});
  if (!outcome.ok) return refused(outcome);
  revalidatePath("/office/standards");
  redirect("/office/standards");
}

export async function previewStandards(): Promise<string | null> {
  const outcome = await perform(askReferencePreview, await actor(), {});
  revalidatePath("/office/standards/changes");
  return outcome.ok ? null : refused(outcome);
}

export async function publishStandards(edit: number, note: string): Promise<string | null> {
  if (note.trim() === "") return "Say in a few words what this version is about.";
  const outcome = await perform(publishReferenceSet, await actor(), { edit, note });
  if (!outcome.ok && outcome.reason === "already-done")
    return "A colleague has put it in force already. Load the page again to see it.";
  if (!outcome.ok && outcome.reason === "changed-meanwhile")
    return "Meanwhile somebody changed the draft, or another version came into force. Load the page again and look once more.";
  if (!outcome.ok) return refused(outcome);
  revalidatePath("/", "layout");
  redirect("/office/standards");
}
