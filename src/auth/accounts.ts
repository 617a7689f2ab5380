import { isAPIError } from "better-auth/api";
import { z } from "zod";
import { type Runtime, runAct } from "../acts/act/act";
import { noteSignIn } from "../acts/people/access";
import {
  acceptLink,
  beginGuess,
  countGuess,
  forgetGuess,
  openAccount,
  sendLink,
  tieAccount,
} from "../acts/people/accounts";
import type { Locale } from "../core/text/local-text";
import type { Auth } from "./better-auth";

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

export type AccountProblem = "badEmail" | "badName" | "noConsent";

interface SignUp {
  readonly name: string;
  readonly email: string;
  readonly consent: boolean;
  readonly locale: Locale;
  readonly network?: string | null;
}

export function signUpProblems(input: SignUp): readonly AccountProblem[] {
  return [
    ...(input.name.trim() === "" ? ["badName" as const] : []),
    ...(email.safeParse(input.email).success ? [] : ["badEmail" as const]),
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

/**
 * Asks for an account: whoever reads the mail chooses the password, so that nobody opens a door to somebody else's address. The owner of
 * an address that has an account already is told.
 */
export async function signUp({ runtime }: Pick<AccountContext, "runtime">, input: SignUp): Promise<void> {
  await runAct(runtime, openAccount, SYSTEM, {
    name: input.name.trim(),
    email: normalised(input.email),
    locale: input.locale,
    consentVersion: CONSENT_VERSION,
    network: input.network ?? null,
  });
}

const LONGEST_ADDRESS = 320;

/** An address as it is kept, counted and looked up. */
export const normalised = (address: string): string => address.trim().toLowerCase();

/** Where a guess at a password comes from, as far as that is known. */
export interface From {
  readonly network: string | null;
  /** A device from which the account was entered before. */
  readonly device: string | null;
}

/** "code": the password was right, and a code of the second factor is asked for. */
export type SignIn = "signed in" | "code" | "wrong" | "locked";

/** Unknown address, wrong password and unconfirmed address answer alike; anything else that goes wrong says nothing of the guess. */
export const isWrong = (error: unknown): boolean => isAPIError(error) && error.statusCode < 500;

/**
 * Signs in with a password; whoever has a second factor is asked for its code next.
 * @throws when something is away
 */
export async function signIn(
  { runtime, auth }: AccountContext,
  address: string,
  password: string,
  { network, device }: From,
  headers: Headers,
): Promise<SignIn> {
  const guessed = normalised(address);
  if (guessed.length > LONGEST_ADDRESS) return "wrong";
  const note = (kind: "signed in" | "sign-in failed" | "kept out") =>
    runAct(runtime, noteSignIn, SYSTEM, { email: guessed, kind, network });
  const answer = await guessAt(runtime, guessed, { network, device }, () =>
    auth.api.signInEmail({ body: { email: guessed, password }, headers }),
  );
  if (answer === "wrong" || answer === "locked") {
    await note(answer === "wrong" ? "sign-in failed" : "kept out");
    return answer;
  }
  if ("twoFactorRedirect" in answer) return "code";
  await note("signed in");
  return "signed in";
}

/**
 * Has something done for which a password was typed. It counts as a guess before it is looked at, so that guesses at the same moment
 * count too, and no longer once it was right.
 * @throws when something is away: nothing is known of the guess then, and it does not count
 */
export async function guessAt<T>(
  runtime: Runtime,
  email: string,
  { network, device }: From,
  work: () => Promise<T>,
): Promise<T | "wrong" | "locked"> {
  const guess = await runAct(runtime, beginGuess, SYSTEM, { email, network, device });
  if (!guess.ok) return "locked";
  const { guessIds } = guess.value;
  try {
    const answer = await work();
    await runAct(runtime, forgetGuess, SYSTEM, { guessIds });
    return answer;
  } catch (error) {
    if (!isWrong(error)) throw error;
    await runAct(runtime, countGuess, SYSTEM, { guessIds });
    return "wrong";
  }
}

export async function askForLink(
  { runtime }: AccountContext,
  address: string,
  purpose: "confirm address" | "set password",
  network: string | null = null,
): Promise<void> {
  await runAct(runtime, sendLink, SYSTEM, { email: normalised(address).slice(0, LONGEST_ADDRESS), purpose, network });
}

interface Chosen {
  readonly password: string;
  /** As somebody who confirms their address wants to be addressed. */
  readonly name?: string;
}

/**
 * Sets a password by a mailed link, and ends all sessions: of an account that is confirmed with it, of one whose password was lost, or of
 * somebody whom the office invited. The account is made on first use.
 * @returns the address of the account, with which to sign in
 */
export async function usePasswordLink(
  { runtime, auth }: AccountContext,
  token: string,
  purpose: "confirm address" | "set password",
  chosen: Chosen,
): Promise<{ readonly email: string } | "ended"> {
  const context = await auth.$context;
  const hashed = await context.password.hash(chosen.password);
  const accepted = await runAct(runtime, acceptLink, VISITOR, { token, purpose, name: chosen.name });
  if (!accepted.ok) return "ended";
  const { personId, accountId, email: address, name } = accepted.value;
  const userId = accountId ?? (await makeUser(auth, { email: address, name, emailVerified: true }, hashed));
  if (accountId === null) await runAct(runtime, tieAccount, SYSTEM, { personId, accountId: userId });
  else {
    await context.internalAdapter.updatePassword(userId, hashed);
    await context.internalAdapter.updateUser(userId, { emailVerified: true });
  }
  await context.internalAdapter.deleteUserSessions(userId);
  return { email: address };
}

export async function signOutEverywhere({ auth }: AccountContext, userId: string): Promise<void> {
  const context = await auth.$context;
  await context.internalAdapter.deleteUserSessions(userId);
}
