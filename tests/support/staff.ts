import { makeStaff } from "../../src/acts/people/accounts";
import { type AccountContext, usePasswordLink as setByLink } from "../../src/auth/accounts";
import { makeAuth } from "../../src/auth/better-auth";
import { database } from "../../src/db/connection";
import { must, SYSTEM, type World } from "./world";

/** Accounts as the application has them at an address. */
export function accountsAt({ runtime }: World, url: string): AccountContext {
  const secret = "a secret of at least thirty-two characters";
  return { runtime, auth: makeAuth(database(runtime.pool), { url, secret }) };
}

/** What the newest mailed link to an address holds. */
export async function mailedToken({ runtime }: World, email: string): Promise<string> {
  const { rows } = await runtime.pool.query<{ link: string }>(
    "select values->>'link' as link from message where to_address = $1 and values ? 'link' order by queued_at desc, id limit 1",
    [email],
  );
  return rows[0]?.link.replace("/link/", "") ?? "";
}

/** An officer who was invited and has chosen a password. */
export async function invitedOfficer(world: World, accounts: AccountContext, email: string, password: string) {
  const { personId } = await must(world, makeStaff, SYSTEM, { name: "An Officer", email, role: "officer" });
  const set = await setByLink(accounts, await mailedToken(world, email), "set password", { password });
  if (set === "ended") throw new Error("the link of an invitation has ended");
  return { email, personId };
}
