import { isAPIError } from "better-auth/api";
import { runAct } from "../acts/act/act";
import { noteSignIn } from "../acts/people/access";
import { spendCode } from "../acts/people/second-factor";
import { type AccountContext, type From, guessAt, isWrong } from "./accounts";

/**
 * The second factor of people who work on other people's files: codes that a device of theirs makes from a secret and the time (TOTP,
 * RFC 6238), and recovery codes that work once each. The account package keeps and checks them; what is ours is that a code works once,
 * that guesses are counted and noted, and that setting one up ends what was signed in without it.
 */
const SYSTEM = { kind: "system" } as const;

/** Whose factor it is, and the request that asks. */
export interface Owner extends From {
  readonly email: string;
  readonly headers: Headers;
}

/** What a device needs to make codes, and what lets its owner in without it; shown once. */
export interface NewFactor {
  /** `otpauth://totp/…`, as authenticator programs read it from a picture. */
  readonly address: string;
  readonly recoveryCodes: readonly string[];
}

const note = (
  { runtime }: AccountContext,
  { email, network }: Pick<Owner, "email" | "network">,
  kind: "signed in" | "code failed" | "recovery code used" | "second factor set" | "second factor removed",
) => runAct(runtime, noteSignIn, SYSTEM, { email, kind, network });

/** Makes a secret that counts only once a code of it was typed (`confirmFactor`). */
export async function beginFactor(
  { runtime, auth }: AccountContext,
  owner: Owner,
  password: string,
): Promise<NewFactor | "wrong" | "locked"> {
  const made = await guessAt(runtime, owner.email, owner, () =>
    auth.api.enableTwoFactor({ body: { password, method: "totp" }, headers: owner.headers }),
  );
  if (typeof made === "string") return made;
  if (!("totpURI" in made) || !made.totpURI) throw new Error("the account package made no secret");
  return { address: made.totpURI, recoveryCodes: made.backupCodes ?? [] };
}

const digits = (code: string): string => code.replace(/\s/gu, "");

/** Turns the factor on by a first code, and ends every other session: they were begun without it. */
export async function confirmFactor(accounts: AccountContext, owner: Owner, code: string): Promise<"on" | "wrong"> {
  const { auth } = accounts;
  try {
    const { user, token } = await auth.api.verifyTOTP({ body: { code: digits(code) }, headers: owner.headers });
    await runAct(accounts.runtime, spendCode, SYSTEM, { accountId: user.id, code: digits(code) });
    const { internalAdapter } = await auth.$context;
    const sessions = await internalAdapter.listSessions(user.id);
    const [newest] = [...sessions].sort((a, b) => b.createdAt.getTime() - a.createdAt.getTime());
    for (const session of sessions)
      if (session.token !== newest?.token && session.token !== token)
        await internalAdapter.deleteSession(session.token);
    await note(accounts, owner, "second factor set");
    return "on";
  } catch (error) {
    if (!isWrong(error)) throw error;
    return "wrong";
  }
}

export type CodeAnswer = "signed in" | "wrong" | "over" | "locked";

const OVER = ["INVALID_TWO_FACTOR_COOKIE", "TOO_MANY_ATTEMPTS_REQUEST_NEW_CODE"];

/** What a refusal of the account package means for whoever typed a code. */
function refusal(error: unknown): Exclude<CodeAnswer, "signed in"> {
  if (!isAPIError(error) || !isWrong(error)) throw error;
  const code = error.body?.code ?? "";
  if (code === "ACCOUNT_TEMPORARILY_LOCKED") return "locked";
  return OVER.includes(code) ? "over" : "wrong";
}

/** The account whose password was just typed, by the request's cookie: what it names can be guessed by nobody, and ends. */
async function pendingEmail({ auth }: Pick<AccountContext, "auth">, headers: Headers): Promise<string> {
  const { internalAdapter, createAuthCookie } = await auth.$context;
  const { name } = createAuthCookie("two_factor");
  const cookies = new Map((headers.get("cookie") ?? "").split(/; */u).map((c) => [c.split("=", 1)[0], c] as const));
  const value = decodeURIComponent(cookies.get(name)?.slice(name.length + 1) ?? "");
  const pending = value === "" ? null : await internalAdapter.findVerificationValue(value.split(".", 1)[0] ?? "");
  const user = pending ? await internalAdapter.findUserById(pending.value) : null;
  return user?.email ?? "";
}

/**
 * Ends signing in with a code after the password was right: of the device, or a recovery code. "over": the password has to be typed
 * again, after ten minutes or five wrong codes. "locked": ten wrong ones within an hour.
 */
export async function answerCode(
  accounts: AccountContext,
  kind: "device" | "recovery",
  code: string,
  { headers, network }: Pick<Owner, "headers" | "network">,
): Promise<{ readonly answer: CodeAnswer; readonly email: string }> {
  const { auth, runtime } = accounts;
  const { internalAdapter } = await auth.$context;
  const email = await pendingEmail(accounts, headers);
  try {
    if (kind === "recovery") {
      await auth.api.verifyBackupCode({ body: { code: code.trim() }, headers });
      await note(accounts, { email, network }, "recovery code used");
    } else {
      const { token, user } = await auth.api.verifyTOTP({ body: { code: digits(code) }, headers });
      const spent = await runAct(runtime, spendCode, SYSTEM, { accountId: user.id, code: digits(code) });
      if (!spent.ok) {
        await internalAdapter.deleteSession(token);
        return { answer: "over", email };
      }
    }
    await note(accounts, { email, network }, "signed in");
    return { answer: "signed in", email };
  } catch (error) {
    const answer = refusal(error);
    if (answer !== "over") await note(accounts, { email, network }, "code failed");
    return { answer, email };
  }
}

/** New recovery codes, which end the old ones. */
export async function renewRecoveryCodes(
  { runtime, auth }: AccountContext,
  owner: Owner,
  password: string,
): Promise<readonly string[] | "wrong" | "locked"> {
  const made = await guessAt(runtime, owner.email, owner, () =>
    auth.api.generateBackupCodes({ body: { password }, headers: owner.headers }),
  );
  return typeof made === "string" ? made : made.backupCodes;
}

/** Takes the factor away: to set it up on another device, or, where none is asked for, to go without. */
export async function removeFactor(
  accounts: AccountContext,
  owner: Owner,
  password: string,
): Promise<"off" | "wrong" | "locked"> {
  const removed = await guessAt(accounts.runtime, owner.email, owner, () =>
    accounts.auth.api.disableTwoFactor({ body: { password }, headers: owner.headers }),
  );
  if (typeof removed === "string") return removed;
  await note(accounts, owner, "second factor removed");
  return "off";
}

/** How many recovery codes are left to somebody who has a second factor. */
export async function recoveryCodesLeft({ auth }: Pick<AccountContext, "auth">, userId: string): Promise<number> {
  const { backupCodes } = await auth.api.viewBackupCodes({ body: { userId } });
  return backupCodes.length;
}
