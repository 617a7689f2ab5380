"use server";

import { noteEmptySearch } from "../../acts/catalogue/empty-searches";
import { perform, VISITOR } from "../request";

/** Notes words and a place by which nothing was found; nothing is said to the visitor. */
export async function noteNotFound(words: string, campus: string | null): Promise<void> {
  await perform(noteEmptySearch, VISITOR, { words, campus });
}
