"use server";

import { noteEmptySearch } from "../../acts/catalogue/empty-searches";
import { perform, VISITOR } from "../request";

/** Notes words by which nothing was found; nothing is said to the visitor. */
export async function noteNotFound(words: string): Promise<void> {
  await perform(noteEmptySearch, VISITOR, { words });
}
