"use server";

import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import type { Outcome } from "../../../acts/act/act";
import { copyCycle } from "../../../acts/catalogue/copy-cycle";
import { answerSearch } from "../../../acts/catalogue/empty-searches";
import { saveCycle, saveIntake, saveProcedure, saveProgramme } from "../../../acts/catalogue/programmes";
import { addRound, changeRound, closeRound, reopenRound } from "../../../acts/catalogue/rounds";
import type { IntakeInput, ProgrammeInput } from "../../../core/catalogue/programme";
import { toUtc } from "../../../core/time/zone";
import { webRuntime } from "../../../runtime";
import { REFUSED_WORDS } from "../../../text/words/office";
import type { RoundDraft } from "../../../ui/catalogue/drafts";
import type { ProcedureDraft } from "../../../ui/catalogue/procedure-form.client";
import { plans } from "../../../views/catalogue/plans";
import { officeNow } from "../../../views/view/office-now";
import { perform, requirePerson, see } from "../../request";

/** Null when it worked, else the sentence that says what to do. */
type Said = string | null;

function answer(outcome: Outcome<unknown>): Said {
  revalidatePath("/office/programmes", "layout");
  if (outcome.ok) return null;
  const fields = outcome.details?.fields;
  if (outcome.reason === "invalid-input" && Array.isArray(fields)) return `Look at: ${fields.join(", ")}.`;
  return REFUSED_WORDS[outcome.reason];
}

const actor = async () => (await requirePerson("/office/programmes")).actor;

export async function storeProgramme(
  procedure: string,
  version: number | null,
  programme: ProgrammeInput,
): Promise<Said> {
  return answer(await perform(saveProgramme, await actor(), { procedure, version, programme }));
}

export async function settleSearch(words: string, campus: string, code: string | null): Promise<Said> {
  return answer(await perform(answerSearch, await actor(), { words, campus, code }));
}

export async function storeProcedure(draft: ProcedureDraft): Promise<Said> {
  return answer(await perform(saveProcedure, await actor(), draft));
}

export async function storeIntake(
  programme: string,
  cycle: string,
  known: { readonly id: string; readonly version: number } | null,
  intake: IntakeInput,
): Promise<Said> {
  const person = await actor();
  const planned = await see(plans, person, { code: programme });
  if (known === null && !planned?.cycles.includes(cycle)) {
    const made = await perform(saveCycle, person, {
      key: cycle,
      title: { en: `Entry ${cycle}`, fr: `Rentrée ${cycle}` },
    });
    if (!made.ok) return answer(made);
  }
  return answer(
    await perform(saveIntake, person, {
      programme,
      cycle,
      intakeId: known?.id ?? null,
      version: known?.version ?? null,
      intake,
    }),
  );
}

/** Wall times of the office become instants; a closing that comes twice is the later one. */
async function roundInput(draft: RoundDraft) {
  const { set } = await officeNow((await webRuntime()).pool);
  return {
    ...draft,
    opensAt: toUtc(draft.opensAt, set.zone, "earlier").utc,
    closings: draft.closings.map((c) => ({ group: c.group, at: toUtc(c.at, set.zone, "later").utc })),
  };
}

export async function storeRound(
  intakeId: string,
  known: { readonly id: string; readonly version: number } | null,
  draft: RoundDraft,
  reason: string,
): Promise<Said> {
  const person = await actor();
  const round = await roundInput(draft);
  return answer(
    known
      ? await perform(changeRound, person, { roundId: known.id, version: known.version, round, reason })
      : await perform(addRound, person, { intakeId, round }),
  );
}

export async function endRound(roundId: string, reason: string): Promise<Said> {
  return answer(await perform(closeRound, await actor(), { roundId, reason }));
}

export async function openAgain(roundId: string, reason: string): Promise<Said> {
  return answer(await perform(reopenRound, await actor(), { roundId, reason }));
}

export async function copyToNext(from: string, years: number, programmes: string[]): Promise<Said> {
  const outcome = await perform(copyCycle, await actor(), { from, years, programmes });
  const refused = answer(outcome);
  if (refused !== null) return refused;
  redirect("/office/programmes");
}
