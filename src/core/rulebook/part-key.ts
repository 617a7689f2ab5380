import { z } from "zod";

/** The shared part that an element of a rulebook is a copy of; none for one of its own. */
export const partKeySchema = z
  .string()
  .regex(/^[a-z][A-Za-z0-9]*$/u)
  .max(40)
  .optional();
