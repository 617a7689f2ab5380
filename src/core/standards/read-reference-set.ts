import { readJson } from "../json/read-json";
import { referenceDraftSchema } from "./reference-set";

/** Reads a reference set from the text of a file, or says what is wrong with it. */
export const readReferenceSet = (text: string) => readJson(referenceDraftSchema, text);
