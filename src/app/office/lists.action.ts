"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { noteLook, takeLookBack } from "../../acts/turns/last-look";
import { doToFiles } from "../../acts/turns/many-files";
import { dropList, keepList } from "../../acts/turns/named-lists";
import { type Many, type ManyLine, manySchema } from "../../core/turns/many";
import { webRuntime } from "../../runtime";
import { REFUSED_WORDS } from "../../text/words/office";
import { type ManyChoices, manyChoices } from "../../views/turns/many-choices";
import { perform, requirePerson, see } from "../request";

/** So many files are done in one request; the page asks again for the next, and shows how far it is. */
const AT_ONCE = 25;

/** Gives a list of files a name; the sentence says why not. */
export async function keepNamedList(name: string, query: string, shared: boolean): Promise<string | null> {
  const person = await requirePerson("/office");
  const outcome = await perform(keepList, person.actor, { name, query, shared });
  if (outcome.ok) revalidatePath("/office");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** Takes the name of a list away. */
export async function dropNamedList(listId: string): Promise<string | null> {
  const person = await requirePerson("/office");
  const outcome = await perform(dropList, person.actor, { listId });
  if (outcome.ok) revalidatePath("/office");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** Says that what had come in when the list was read is seen. */
export async function seenUntil(at: string): Promise<string | null> {
  const outcome = await perform(noteLook, (await requirePerson("/office")).actor, { at });
  revalidatePath("/office");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

export async function takeLastLookBack(): Promise<string | null> {
  const outcome = await perform(takeLookBack, (await requirePerson("/office")).actor, {});
  revalidatePath("/office");
  return outcome.ok ? null : REFUSED_WORDS[outcome.reason];
}

/** What can be chosen for the files that are marked. */
export async function choicesForMany(ids: readonly string[]): Promise<ManyChoices | null> {
  const person = await requirePerson("/office");
  const asked = z.array(z.uuid()).max(500).safeParse(ids);
  return asked.success ? see(manyChoices, person.actor, { ids: asked.data }) : null;
}

/** Does the same to some files, or says what would come of it; null where what was sent makes no sense. */
export async function doToSome(
  ids: readonly string[],
  what: Many,
  really: boolean,
): Promise<readonly ManyLine[] | null> {
  const person = await requirePerson("/office");
  const asked = z.object({ ids: z.array(z.uuid()).max(AT_ONCE), what: manySchema }).safeParse({ ids, what });
  if (!asked.success) return null;
  const runtime = await webRuntime();
  return doToFiles(runtime, person.actor, asked.data.ids, asked.data.what, really);
}
