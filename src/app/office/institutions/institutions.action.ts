"use server";

import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import type { Outcome } from "../../../acts/act/act";
import { confirmValues } from "../../../acts/evidence/confirm-values";
import {
  linkInstitution,
  mergeInstitutions,
  saveInstitution,
  takeRegister,
  unlinkInstitution,
} from "../../../acts/standards/institutions";
import type { InstitutionInput } from "../../../core/standards/institution";
import { REFUSED_WORDS } from "../../../text/words/office";
import type { TakenLines } from "../../../ui/standards/take-register.client";
import { knownNames } from "../../../views/standards/institutions";
import { otherScales } from "../../../views/standards/other-scales";
import { perform, requirePerson, see } from "../../request";

const actor = async () => (await requirePerson("/office/institutions")).actor;

function refused(outcome: Extract<Outcome<unknown>, { ok: false }>): string {
  const name = outcome.details?.name;
  if (outcome.reason === "already-done" && typeof name === "string")
    return `One of these names leads to “${name}” already, in the same country. Make the two one, or take the name out.`;
  return REFUSED_WORDS[outcome.reason];
}

/** How many files are corrected at once at most. */
const MOST_CORRECTED = 100;

/** Confirms the scale on which an institution grades in files where its degrees count on another. @returns what was done, in words */
export async function correctScales(institutionId: string): Promise<string> {
  const person = await actor();
  const page = await see(otherScales, person, { institutionId });
  let corrected = 0;
  const refusals: string[] = [];
  for (const { applicationId, number, scope, section, entry } of page?.files.slice(0, MOST_CORRECTED) ?? []) {
    const outcome = await perform(confirmValues, person, {
      applicationId,
      values: [{ scope, section, entry, field: "scale", value: page?.usual ?? "" }],
      note: "The scale on which the institution grades, as the register has it.",
    });
    if (outcome.ok) corrected += 1;
    else refusals.push(`${number} (${REFUSED_WORDS[outcome.reason]})`);
  }
  revalidatePath("/office/institutions", "layout");
  const done = corrected === 1 ? "Confirmed in one file." : `Confirmed in ${corrected} files.`;
  return refusals.length === 0 ? done : `${done} Not in ${refusals.join(", ")}.`;
}

export async function storeInstitution(
  known: { readonly id: string; readonly version: number } | null,
  institution: InstitutionInput,
): Promise<string | null> {
  const outcome = await perform(saveInstitution, await actor(), {
    institutionId: known?.id ?? null,
    version: known?.version ?? null,
    institution,
  });
  if (!outcome.ok) return refused(outcome);
  revalidatePath("/office/institutions", "layout");
  if (known === null) redirect(`/office/institutions/${outcome.value.institutionId}`);
  return null;
}

/** @returns how many of the names the register knows */
export async function lookAtNames(names: readonly Pick<InstitutionInput, "name" | "country">[]): Promise<number> {
  return (await see(knownNames, await actor(), { names: names.map(({ name, country }) => ({ name, country })) })) ?? 0;
}

const LEFT_WORDS = {
  "name-taken": "one of its names leads to another institution already",
  "unknown-scale": "it names a grade scale that the standards do not have",
} as const;

export async function takeLines(lines: readonly InstitutionInput[]): Promise<TakenLines | string> {
  const outcome = await perform(takeRegister, await actor(), { institutions: [...lines] });
  if (!outcome.ok) return refused(outcome);
  revalidatePath("/office/institutions", "layout");
  const { taken } = outcome.value;
  const count = (became: (typeof taken)[number]["became"]) => taken.filter((t) => t.became === became).length;
  return {
    added: count("added"),
    changed: count("changed"),
    same: count("same"),
    left: taken.flatMap(({ name, became }) =>
      became === "name-taken" || became === "unknown-scale" ? [{ name, why: LEFT_WORDS[became] }] : [],
    ),
  };
}

export async function linkName(institutionId: string, written: string, country: string): Promise<string | null> {
  const outcome = await perform(linkInstitution, await actor(), { institutionId, written, country });
  revalidatePath("/office/institutions", "layout");
  if (!outcome.ok && outcome.reason === "already-done") return "A colleague has said already what this name is.";
  return outcome.ok ? null : refused(outcome);
}

export async function unlinkName(nameId: string): Promise<string | null> {
  const outcome = await perform(unlinkInstitution, await actor(), { nameId });
  revalidatePath("/office/institutions", "layout");
  return outcome.ok ? null : refused(outcome);
}

export async function merge(keepId: string, doubleId: string): Promise<string | null> {
  const outcome = await perform(mergeInstitutions, await actor(), { keepId, doubleId });
  revalidatePath("/office/institutions", "layout");
  return outcome.ok ? null : refused(outcome);
}
