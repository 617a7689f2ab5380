"use server";

import { revalidatePath } from "next/cache";
import type { Outcome } from "../../../acts/act/act";
import { matchPaper, notePaper, noteStrayPaper, sendPaperBack, takePaperBack } from "../../../acts/post/papers";
import { REFUSED_WORDS } from "../../../text/words/office";
import type { Arrival } from "../../../ui/post/arrival-fields.client";
import { type PaperFile, type PaperPlace, paperFile } from "../../../views/post/papers";
import { perform, requirePerson, see } from "../../request";

const person = () => requirePerson("/office/papers");
const NOWHERE = { requirement: "", scope: "file", entry: "" };
const placeOf = (place: PaperPlace | null) =>
  place ? { requirement: place.requirement, scope: place.scope, entry: place.entry } : NOWHERE;

function answer(outcome: Outcome<unknown>): string | null {
  revalidatePath("/office/papers");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** For what a paper can have come in a file. */
export async function lookUpFile(number: string): Promise<PaperFile | null> {
  return see(paperFile, (await person()).actor, { number });
}

export async function noteFor(
  { applicationId }: PaperFile,
  place: PaperPlace | null,
  arrival: Arrival,
): Promise<string | { paperId: string }> {
  const { actor } = await person();
  const outcome = await perform(notePaper, actor, { applicationId, ...placeOf(place), ...arrival });
  const refused = answer(outcome);
  return outcome.ok ? outcome.value : (refused ?? "");
}

export async function noteStray(arrival: Arrival): Promise<string | null> {
  return answer(await perform(noteStrayPaper, (await person()).actor, arrival));
}

export async function matchStray(
  { applicationId }: PaperFile,
  place: PaperPlace | null,
  paperId: string,
): Promise<string | null> {
  return answer(await perform(matchPaper, (await person()).actor, { applicationId, ...placeOf(place), paperId }));
}

export async function takeNoteBack({ applicationId }: PaperFile, paperId: string): Promise<string | null> {
  return answer(await perform(takePaperBack, (await person()).actor, { applicationId, paperId }));
}

export async function noteSentBack(applicationId: string, paperId: string): Promise<string | null> {
  return answer(await perform(sendPaperBack, (await person()).actor, { applicationId, paperId }));
}
