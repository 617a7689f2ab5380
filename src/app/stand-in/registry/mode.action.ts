"use server";

import { revalidatePath } from "next/cache";
import { notFound } from "next/navigation";
import { setRegistryMode } from "../../../acts/results/registry";
import { webRuntime } from "../../../runtime";
import { perform, SYSTEM } from "../../request";

/** Lets the stand-in be slow or down, as its page says. Only in the demo: a real registry does as it likes. */
export async function changeMode(form: FormData): Promise<void> {
  const { settings } = await webRuntime();
  if (!settings.demo) notFound();
  await perform(setRegistryMode, SYSTEM, {
    down: form.get("down") === "yes",
    delayMs: Math.max(0, Math.min(60, Number(form.get("seconds")) || 0)) * 1000,
  });
  revalidatePath("/stand-in/registry");
}
