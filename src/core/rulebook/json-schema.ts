import { z } from "zod";
import { rulebookSchema } from "./rulebook";

/** The JSON Schema (draft 2020-12) of an exported rulebook, made from the very schema that checks an import. */
export function rulebookJsonSchema(): Readonly<Record<string, unknown>> {
  return {
    ...z.toJSONSchema(rulebookSchema, { io: "input", reused: "ref" }),
    title: "Unvex rulebook",
    description: "Sections, requirements, computed values, entry rules and fees of one start of a programme.",
  };
}
