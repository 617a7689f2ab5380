"use server";

import { revalidatePath } from "next/cache";
import { settleOwnerResult, takeOwnerList } from "../../../acts/results/owner-lists";
import { REFUSED_WORDS } from "../../../text/words/office";
import { type LookedAt, ownerListLook } from "../../../views/results/owner-lists";
import { perform, requirePerson, see } from "../../request";

/** Reads a list without taking it in. */
export async function lookAtList(test: string, text: string): Promise<LookedAt | null> {
  return see(ownerListLook, (await requirePerson("/office/results")).actor, { test, text });
}

/** Takes a list in; the files to which its results belong are found by a job. @returns why not, or null */
export async function takeList(test: string, fileName: string, text: string): Promise<string | null> {
  const outcome = await perform(takeOwnerList, (await requirePerson("/office/results")).actor, {
    test,
    fileName,
    text,
  });
  revalidatePath("/office/results");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** Says whether a result under another name is the applicant’s. @returns why not, or null */
export async function settleResult(applicationId: string, resultId: string, theirs: boolean): Promise<string | null> {
  const person = await requirePerson("/office/results");
  const outcome = await perform(settleOwnerResult, person.actor, { applicationId, resultId, theirs });
  revalidatePath("/office/results");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}
