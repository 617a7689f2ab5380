"use server";

import { revalidatePath } from "next/cache";
import type { FileActName } from "../../../core/file-acts/file-acts";
import { actOnFile } from "../files/[number]/file.action";

/** Grants or ends an adjustment from the list of what was told. @returns null when it was done, else the sentence that says why not */
export async function advise(
  number: string,
  applicationId: string,
  name: FileActName,
  input: object,
): Promise<string | null> {
  const refused = await actOnFile(number, applicationId, name, input);
  revalidatePath("/office/confided");
  return refused;
}
