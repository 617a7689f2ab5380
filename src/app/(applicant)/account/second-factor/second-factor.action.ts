"use server";

import { headers } from "next/headers";
import { type AccountContext, normalised } from "../../../../auth/accounts";
import {
  beginFactor,
  confirmFactor,
  type NewFactor,
  type Owner,
  removeFactor,
  renewRecoveryCodes,
} from "../../../../auth/second-factor";
import { webRuntime } from "../../../../runtime";
import { logDefect, networkAddress, requirePerson } from "../../../request";

/** Why nothing was done: the password or the code is not right, there were too many guesses, or something is away. */
export type FactorProblem = "wrong" | "locked" | "unavailable";

/** Does something with the second factor of whoever is signed in; what was typed stays in the page whatever comes. */
async function withOwner<T>(work: (accounts: AccountContext, owner: Owner) => Promise<T>): Promise<T | FactorProblem> {
  const person = await requirePerson("/account/second-factor");
  try {
    const runtime = await webRuntime();
    const email = normalised(person.email);
    const [network, sent] = [await networkAddress(), await headers()];
    return await work({ runtime, auth: runtime.auth }, { email, device: null, network, headers: sent });
  } catch (error) {
    await logDefect(error);
    return "unavailable";
  }
}

export async function begin(password: string): Promise<NewFactor | FactorProblem> {
  return withOwner((accounts, owner) => beginFactor(accounts, owner, String(password)));
}

export async function confirm(code: string): Promise<"on" | FactorProblem> {
  return withOwner((accounts, owner) => confirmFactor(accounts, owner, String(code)));
}

export async function renew(password: string): Promise<readonly string[] | FactorProblem> {
  return withOwner((accounts, owner) => renewRecoveryCodes(accounts, owner, String(password)));
}

/** Takes the factor away: to go without it, or to set it up on another device. */
export async function remove(password: string): Promise<"off" | FactorProblem> {
  return withOwner((accounts, owner) => removeFactor(accounts, owner, String(password)));
}
