"use server";

import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import { after } from "next/server";
import {
  type AccountContext,
  askForLink,
  normalised,
  signIn,
  signUp,
  signUpProblems,
  usePasswordLink,
} from "../../../auth/accounts";
import { deviceWord, knownDevice } from "../../../auth/devices";
import { passkeyChallenge, signInByPasskey } from "../../../auth/passkeys";
import { passwordProblem } from "../../../auth/passwords";
import { answerCode } from "../../../auth/second-factor";
import { webRuntime } from "../../../runtime";
import { landingHref } from "../../../ui/application/addresses";
import { myApplication } from "../../../views/application/my-application";
import { myApplications } from "../../../views/application/my-applications";
import { type LinkPurpose, linkPurpose } from "../../../views/mail/link-purpose";
import { type Identity, identityOf } from "../../../views/people/identity";
import { LOCALE_COOKIE, locale, logDefect, networkAddress, see, VISITOR } from "../../request";
import { safePath } from "../../safe-path";

/** What a form of the account pages answers: problems by code, or that it is done. What was typed stays in the form. */
export interface FormState {
  readonly done: boolean;
  readonly problems: readonly string[];
}

const WANTED_COOKIE = "unvex-wanted";
const DAY_SECONDS = 86_400;
const DEVICE_COOKIE = "unvex-device";
const DEVICE_DAYS = 180;

const UNAVAILABLE: FormState = { done: false, problems: ["unavailable"] };
const DONE: FormState = { done: true, problems: [] };
const text = (form: FormData, name: string): string => {
  const value = form.get(name);
  return typeof value === "string" ? value : "";
};

/** Does what needs accounts; something that is away is said as such, with what was typed still in the form. */
async function whileThere<T>(work: (accounts: AccountContext) => Promise<T>): Promise<T | typeof UNAVAILABLE> {
  try {
    const runtime = await webRuntime();
    return await work({ runtime, auth: runtime.auth });
  } catch (error) {
    await logDefect(error);
    return UNAVAILABLE;
  }
}

/**
 * Does what takes longer for an address that is known once the answer has gone out, so that its time tells nothing. That the database is
 * there is looked at before.
 */
async function afterwards(work: (accounts: AccountContext) => Promise<unknown>): Promise<FormState> {
  const there = await whileThere(async ({ runtime }) => {
    await runtime.pool.query("select 1");
    return DONE;
  });
  if (there.done) after(() => whileThere(work));
  return there;
}

export async function signUpAction(_: FormState, form: FormData): Promise<FormState> {
  const input = {
    name: text(form, "name"),
    email: text(form, "email").trim(),
    consent: form.get("consent") !== null,
    locale: await locale(),
    network: await networkAddress().catch(() => null),
  };
  const problems = signUpProblems(input);
  if (problems.length > 0) return { done: false, problems };
  const opened = await afterwards((accounts) => signUp(accounts, input));
  if (!opened.done) return opened;
  const to = safePath(text(form, "to"));
  if (to) (await cookies()).set(WANTED_COOKIE, to, { httpOnly: true, sameSite: "lax", path: "/", maxAge: DAY_SECONDS });
  return DONE;
}

/** Where somebody wanted to go before they had an account, kept over the mail and the first sign-in. */
async function wantedBefore(): Promise<string | null> {
  const jar = await cookies();
  const wanted = safePath(jar.get(WANTED_COOKIE)?.value);
  if (wanted) jar.delete(WANTED_COOKIE);
  return wanted;
}

/** Where an applicant who comes back goes on: in the application that waits for them, the one due first before the others. */
async function landing(person: Identity | null): Promise<string> {
  const lines = person ? ((await see(myApplications, person.actor, {})) ?? []) : [];
  const [next] = lines.filter((line) => line.owed).sort((a, b) => ((a.dueAt ?? "9999") < (b.dueAt ?? "9999") ? -1 : 1));
  const application = person && next ? await see(myApplication, person.actor, { number: next.number }) : null;
  return application ? landingHref(application.number, application.assessment) : "/my";
}

/** Goes where somebody who has just signed in wanted to go, or to what waits for them. */
async function goOn(email: string, to: string): Promise<never> {
  const { auth, pool } = await webRuntime();
  const user = await (await auth.$context).internalAdapter.findUserByEmail(email);
  const person = user ? await identityOf(pool, user.user.id, new Date()) : null;
  if (person && !person.isStaff) (await cookies()).set(LOCALE_COOKIE, person.locale, { sameSite: "lax", path: "/" });
  const wanted = await wantedBefore();
  redirect(safePath(to) ?? (person?.isStaff ? "/office" : (wanted ?? (await landing(person)))));
}

/** Signs in with an address and its password; a second factor is asked for next, where there is one. */
async function enter(address: string, password: string, to: string): Promise<FormState> {
  const [network, sent, jar] = [await networkAddress().catch(() => null), await headers(), await cookies()];
  const email = normalised(address);
  const result = await whileThere(async (accounts) => {
    const { secret } = (await webRuntime()).settings;
    const device = knownDevice(secret, jar.get(DEVICE_COOKIE)?.value, email);
    return signIn(accounts, email, password, { network, device }, sent);
  });
  if (typeof result === "object") return result;
  if (result === "wrong" || result === "locked") return { done: false, problems: [result] };
  const { settings } = await webRuntime();
  jar.set(DEVICE_COOKIE, deviceWord(settings.secret, email), {
    httpOnly: true,
    sameSite: "lax",
    secure: settings.url.startsWith("https://"),
    path: "/sign-in",
    maxAge: DEVICE_DAYS * DAY_SECONDS,
  });
  if (result === "code") redirect(to ? `/sign-in/code?to=${encodeURIComponent(to)}` : "/sign-in/code");
  return goOn(email, to);
}

/** Ends signing in with a code of the second factor, or with a recovery code. */
export async function signInCodeAction(_: FormState, form: FormData): Promise<FormState> {
  const [network, sent] = [await networkAddress().catch(() => null), await headers()];
  const kind = text(form, "kind") === "recovery" ? "recovery" : "device";
  const result = await whileThere((accounts) =>
    answerCode(accounts, kind, text(form, "code"), { network, headers: sent }),
  );
  if ("done" in result) return result;
  const problem = {
    wrong: kind === "recovery" ? "wrongRecovery" : "wrongCode",
    over: "codeOver",
    locked: "codeLocked",
  };
  if (result.answer !== "signed in") return { done: false, problems: [problem[result.answer]] };
  return goOn(result.email, text(form, "to"));
}

/** What the device of whoever wants to come in by a passkey is asked; null while something is away. */
export async function passkeyChallengeAction(): Promise<Awaited<ReturnType<typeof passkeyChallenge>> | null> {
  const sent = await headers();
  const challenge = await whileThere((accounts) => passkeyChallenge(accounts, sent));
  return "done" in challenge ? null : challenge;
}

/** Signs in by what the device has answered; goes on where it was right. */
export async function passkeySignInAction(answer: unknown, to: string): Promise<"wrong" | "unavailable"> {
  const [network, sent] = [await networkAddress().catch(() => null), await headers()];
  const result = await whileThere((accounts) => signInByPasskey(accounts, answer, { network, headers: sent }));
  if (result === "wrong") return "wrong";
  return "done" in result ? "unavailable" : goOn(result.email, String(to));
}

export async function signInAction(_: FormState, form: FormData): Promise<FormState> {
  return enter(text(form, "email"), text(form, "password"), text(form, "to"));
}

async function mailLink(form: FormData, purpose: Parameters<typeof askForLink>[2]): Promise<FormState> {
  const network = await networkAddress().catch(() => null);
  return afterwards((accounts) => askForLink(accounts, text(form, "email"), purpose, network));
}

export const lostPasswordAction = async (_: FormState, form: FormData): Promise<FormState> =>
  mailLink(form, "set password");

export const sendAgainAction = async (_: FormState, form: FormData): Promise<FormState> =>
  mailLink(form, "confirm address");

const ENDED: FormState = { done: false, problems: ["linkEnded"] };

/** Sets the password that stands in a form by the link that was mailed; who holds the link is known by it. */
async function setByLink(
  form: FormData,
  purpose: LinkPurpose["purpose"],
  name?: string,
): Promise<{ readonly email: string; readonly password: string } | FormState> {
  const [token, password] = [text(form, "token"), text(form, "password")];
  const link = await whileThere(() => see(linkPurpose, VISITOR, { token }));
  if (link && "done" in link) return link;
  if (link?.purpose !== purpose) return ENDED;
  const problem = passwordProblem(password, name ?? link.name, link.email);
  const problems = [...(name === "" ? ["badName"] : []), ...(problem ? [problem] : [])];
  if (problems.length > 0) return { done: false, problems };
  const set = await whileThere((accounts) => usePasswordLink(accounts, token, purpose, { password, name }));
  if (set === "ended") return ENDED;
  return "done" in set ? set : { ...set, password };
}

/** Confirms an address with the password that is chosen now, and signs in with it. */
export async function confirmAction(_: FormState, form: FormData): Promise<FormState> {
  const set = await setByLink(form, "confirm address", text(form, "name").trim());
  return "done" in set ? set : enter(set.email, set.password, "");
}

export async function setPasswordAction(_: FormState, form: FormData): Promise<FormState> {
  const set = await setByLink(form, "set password");
  return "done" in set ? set : DONE;
}
