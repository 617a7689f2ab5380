import "server-only";
import { headers } from "next/headers";
import { type AccountContext, normalised } from "../../../auth/accounts";
import type { Owner } from "../../../auth/second-factor";
import { webRuntime } from "../../../runtime";
import { logDefect, networkAddress, requirePerson } from "../../request";

/** Why nothing was done: what was typed or answered is not right, there were too many guesses, or something is away. */
export type FactorProblem = "wrong" | "locked" | "unavailable";

/** Does something with the account of whoever is signed in; what was typed stays in the page whatever comes. */
export async function withOwner<T>(
  work: (accounts: AccountContext, owner: Owner) => Promise<T>,
): Promise<T | FactorProblem> {
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
