import { readJson } from "../json/read-json";
import { rulebookSchema } from "./rulebook";

/** Reads a rulebook from the text of a file, or says what is wrong with it. */
export const readRulebook = (text: string) => readJson(rulebookSchema, text);
