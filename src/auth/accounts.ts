import { isAPIError } from "better-auth/api";
import { z } from "zod";
import { type Runtime, runAct } from "../acts/act/act";
import {
  acceptLink,
  beginGuess,
  countGuess,
  forgetGuess,
  openAccount,
  sendLink,
  tellAlreadyHasAccount,
  tieAccount,
} from "../acts/people/accounts";
import type { Locale } from "../core/text/local-text";
import { type Auth, LEAST_PASSWORD } from "./better-auth";

/**
 * What people do with accounts. No answer tells whether an address has an account: signing up twice and asking for a lost
 * password answer the same for known and unknown addresses.
 */
export interface AccountContext {
  readonly runtime: Runtime;
  readonly auth: Auth;
}

const SYSTEM = { kind: "system" } as const;
const VISITOR = { kind: "visitor" } as const;
const SOURCE = { method: "email-password" } as const;
const CONSENT_VERSION = "2026-09-01";
const email = z.email().max(320);

export type AccountProblem = "badEmail" | "badPassword" | "passwordFromForm" | "badName" | "noConsent";

interface SignUp {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  readonly consent: boolean;
  readonly locale: Locale;
}

/** A password must not be built from what stands in the form. */
function builtFrom(password: string, ...facts: readonly string[]): boolean {
  const lower = password.toLowerCase();
  return facts
    .flatMap((f) => f.toLowerCase().split(/[\s@.]+/u))
    .some((part) => part.length >= 5 && lower.includes(part));
}

export function signUpProblems(input: SignUp): readonly AccountProblem[] {
  return [
    ...(input.name.trim() === "" ? ["badName" as const] : []),
    ...(email.safeParse(input.email).success ? [] : ["badEmail" as const]),
    ...(input.password.length < LEAST_PASSWORD
      ? ["badPassword" as const]
      : builtFrom(input.password, input.name, input.email)
        ? ["passwordFromForm" as const]
        : []),
    ...(input.consent ? [] : ["noConsent" as const]),
  ];
}

/**
 * Makes the auth package's user for somebody who has none yet. A user whose making was cut short, so that no person was ever
 * tied to it, is taken over with the new password: nobody has ever signed in with it.
 */
async function makeUser(
  auth: Auth,
  who: { readonly email: string; readonly name: string; readonly emailVerified: boolean },
  password: string,
): Promise<string> {
  const { internalAdapter } = await auth.$context;
  const found = await internalAdapter.findUserByEmail(who.email, { includeAccounts: true });
  const { id } = found?.user ?? (await internalAdapter.createUser(who, SOURCE));
  if (found?.accounts.some((a) => a.providerId === "credential")) await internalAdapter.updatePassword(id, password);
  else await internalAdapter.linkAccount({ userId: id, providerId: "credential", accountId: id, password });
  if (who.emailVerified) await internalAdapter.updateUser(id, { emailVerified: true });
  return id;
}

/** Opens an account and mails the confirming link; tells the owner of an address that has one already. */
export async function signUp({ runtime, auth }: AccountContext, input: SignUp): Promise<void> {
  const address = input.email.trim().toLowerCase();
  // Hashed in both cases, so that the time does not tell whether the address is known.
  const password = await (await auth.$context).password.hash(input.password);
  const told = await runAct(runtime, tellAlreadyHasAccount, SYSTEM, { email: address });
  if (!told.ok || told.value.known) return;
  const accountId = await makeUser(auth, { email: address, name: input.name.trim(), emailVerified: false }, password);
  await runAct(runtime, openAccount, SYSTEM, {
    accountId,
    name: input.name.trim(),
    email: address,
    locale: input.locale,
    consentVersion: CONSENT_VERSION,
  });
}

export type SignIn = "signed in" | "wrong" | "locked";

/** Unknown address, wrong password and unconfirmed address answer alike; anything else that goes wrong says nothing of the guess. */
const isWrong = (error: unknown): boolean => isAPIError(error) && error.statusCode < 500;

/**
 * Signs in. The guess counts before it is looked at, so that guesses at the same moment count too.
 * @throws when something is away: nothing is known of the guess then, and it does not count
 */
export async function signIn(
  { runtime, auth }: AccountContext,
  address: string,
  password: string,
  network: string | null,
  headers: Headers,
): Promise<SignIn> {
  const guess = await runAct(runtime, beginGuess, SYSTEM, { email: address.slice(0, 320), network });
  if (!guess.ok) return "locked";
  const { guessIds } = guess.value;
  try {
    await auth.api.signInEmail({ body: { email: address.trim().toLowerCase(), password }, headers });
  } catch (error) {
    if (!isWrong(error)) throw error;
    await runAct(runtime, countGuess, SYSTEM, { guessIds });
    return "wrong";
  }
  await runAct(runtime, forgetGuess, SYSTEM, { guessIds });
  return "signed in";
}

export async function askForLink(
  { runtime }: AccountContext,
  address: string,
  purpose: "confirm address" | "set password",
): Promise<void> {
  await runAct(runtime, sendLink, SYSTEM, { email: address.trim().toLowerCase().slice(0, 320), purpose });
}

export async function confirmAddress({ runtime, auth }: AccountContext, token: string): Promise<"done" | "ended"> {
  const accepted = await runAct(runtime, acceptLink, VISITOR, { token, purpose: "confirm address" });
  if (!accepted.ok || !accepted.value.accountId) return "ended";
  const context = await auth.$context;
  await context.internalAdapter.updateUser(accepted.value.accountId, { emailVerified: true });
  return "done";
}

/** Sets a new password by a mailed link and ends all sessions. For a member of staff it makes the account on first use. */
export async function setPassword(
  { runtime, auth }: AccountContext,
  token: string,
  password: string,
): Promise<"done" | "ended"> {
  const context = await auth.$context;
  const hashed = await context.password.hash(password);
  const accepted = await runAct(runtime, acceptLink, VISITOR, { token, purpose: "set password" });
  if (!accepted.ok) return "ended";
  const { personId, accountId, email: address, name } = accepted.value;
  const userId = accountId ?? (await makeUser(auth, { email: address, name, emailVerified: true }, hashed));
  if (accountId === null) await runAct(runtime, tieAccount, SYSTEM, { personId, accountId: userId });
  else {
    await context.internalAdapter.updatePassword(userId, hashed);
    await context.internalAdapter.updateUser(userId, { emailVerified: true });
  }
  await context.internalAdapter.deleteUserSessions(userId);
  return "done";
}

export async function signOutEverywhere({ auth }: AccountContext, userId: string): Promise<void> {
  const context = await auth.$context;
  await context.internalAdapter.deleteUserSessions(userId);
}
