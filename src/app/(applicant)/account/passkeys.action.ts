"use server";

import { revalidatePath } from "next/cache";
import { beginPasskey, keepPasskey, removePasskey } from "../../../auth/passkeys";
import { type FactorProblem, withOwner } from "./with-owner";

const LONGEST_NAME = 100;

/** What the device is asked to make a passkey to, for whoever knows the password. */
export async function beginPasskeyAction(
  password: string,
): Promise<Exclude<Awaited<ReturnType<typeof beginPasskey>>, string> | FactorProblem> {
  return withOwner((accounts, owner) => beginPasskey(accounts, owner, String(password)));
}

export async function keepPasskeyAction(name: string, answer: unknown): Promise<"kept" | FactorProblem> {
  const kept = await withOwner((accounts, owner) =>
    keepPasskey(accounts, owner, String(name).trim().slice(0, LONGEST_NAME), answer),
  );
  revalidatePath("/account");
  return kept;
}

export async function removePasskeyAction(id: string): Promise<null | FactorProblem> {
  const removed = await withOwner((accounts, owner) => removePasskey(accounts, owner, String(id)).then(() => null));
  revalidatePath("/account");
  return removed;
}
