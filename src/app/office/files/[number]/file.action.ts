"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Act } from "../../../../acts/act/act";
import { dropHeld } from "../../../../acts/conversation/attachments";
import { lookIn } from "../../../../acts/notes/notes";
import type { FileActName } from "../../../../core/file-acts/file-acts";
import { toUtc } from "../../../../core/time/zone";
import type { Supposed } from "../../../../core/what-if/supposing";
import { webRuntime } from "../../../../runtime";
import { REFUSED_WORDS } from "../../../../text/words/office";
import { type Elsewhere, elsewhere } from "../../../../views/assessment/elsewhere";
import { type WhatIf, whatIf } from "../../../../views/assessment/what-if";
import { officeNow } from "../../../../views/view/office-now";
import { perform, requirePerson, see } from "../../../request";
import { FILE_ACTS } from "./file-acts";

/**
 * Does an act of the office on a file, as its page calls it: `ActOnFile`, once the file is given.
 * @returns null when it was done, else the sentence that says why not
 */
export async function actOnFile(
  number: string,
  applicationId: string,
  name: FileActName,
  input: object,
): Promise<string | null> {
  const person = await requirePerson(`/office/files/${number}`);
  if (!Object.hasOwn(FILE_ACTS, name)) return REFUSED_WORDS["not-found"];
  const act = FILE_ACTS[name] as Act<z.ZodType, unknown>; // whatever it is called with is checked by the act itself
  const outcome = await perform(act, person.actor, { ...input, applicationId });
  revalidatePath(`/office/files/${number}`);
  if (outcome.ok) return null;
  const more = outcome.details?.check ? ` (${String(outcome.details.check)})` : "";
  return REFUSED_WORDS[outcome.reason] + more;
}

/** Takes a document away from the message that is being written. */
export async function dropAttachment(number: string, applicationId: string, uploadId: string): Promise<string | null> {
  const person = await requirePerson(`/office/files/${number}`);
  const outcome = await perform(dropHeld, person.actor, { applicationId, uploadId });
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** Works out where one choice would stand on other tracks and programmes; nothing is stored. */
export async function lookElsewhere(number: string, choiceId: string): Promise<Elsewhere | null> {
  const person = await requirePerson(`/office/files/${number}`);
  return see(elsewhere, person.actor, { number, choiceId });
}

/** Works out what would be found if some answers were others; nothing is stored. */
export async function suppose(number: string, changes: Supposed[]): Promise<WhatIf | null> {
  const person = await requirePerson(`/office/files/${number}`);
  return see(whatIf, person.actor, { number, changes });
}

/** @param local a wall time of the office, `2027-02-01T18:00`; one that comes twice is the later one */
export async function extend(
  number: string,
  applicationId: string,
  choiceId: string,
  local: string,
  reason: string,
): Promise<string | null> {
  const { set } = await officeNow((await webRuntime()).pool);
  const until = toUtc(local, set.zone, "later").utc;
  return actOnFile(number, applicationId, "extend-choice", { choiceId, until, reason });
}

/** Says that somebody has the file open; gives the names of those who have it open, too. */
export async function whoElse(number: string, applicationId: string): Promise<readonly string[]> {
  const person = await requirePerson(`/office/files/${number}`);
  const outcome = await perform(lookIn, person.actor, { applicationId });
  return outcome.ok ? outcome.value.others : [];
}
