import { z } from "zod";
import type { Json } from "../file/facts";

/** An answer of any shape and size. */
export const anyAnswer: z.ZodType<Json> = z.lazy(() =>
  z.union([z.string(), z.number(), z.boolean(), z.null(), z.array(anyAnswer), z.record(z.string(), anyAnswer)]),
);

/** The longest answer, in characters of its JSON. */
export const LONGEST_ANSWER = 24_000;
export const isTooLong = (value: Json): boolean => JSON.stringify(value).length > LONGEST_ANSWER;

/** An answer of a size that a person could have typed. */
export const answerValue = anyAnswer.refine((value) => !isTooLong(value));
