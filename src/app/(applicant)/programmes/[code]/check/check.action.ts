"use server";

import type { z } from "zod";
import { type SelfCheckData, selfCheck } from "../../../../../views/form/self-check";
import { see, VISITOR } from "../../../../request";

/** Answers a check; nothing is stored. */
export async function answerCheck(input: z.input<(typeof selfCheck)["input"]>): Promise<SelfCheckData | null> {
  return see(selfCheck, VISITOR, input);
}
