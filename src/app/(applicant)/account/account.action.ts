"use server";

import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import {
  type AccountContext,
  askForLink,
  confirmAddress,
  setPassword,
  signIn,
  signUp,
  signUpProblems,
} from "../../../auth/accounts";
import { LEAST_PASSWORD } from "../../../auth/better-auth";
import { webRuntime } from "../../../runtime";
import { landingHref } from "../../../ui/application/applicant-step";
import { myApplication } from "../../../views/application/my-application";
import { myApplications } from "../../../views/application/my-applications";
import { type Identity, identityOf } from "../../../views/people/identity";
import { LOCALE_COOKIE, locale, logDefect, networkAddress, see } from "../../request";

/** What a form of the account pages answers: problems by code, or that it is done. What was typed stays in the form. */
export interface FormState {
  readonly done: boolean;
  readonly problems: readonly string[];
}

const WANTED_COOKIE = "unvex-wanted";
const DAY_SECONDS = 86_400;

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

export async function signUpAction(_: FormState, form: FormData): Promise<FormState> {
  const input = {
    name: text(form, "name"),
    email: text(form, "email").trim(),
    password: text(form, "password"),
    consent: form.get("consent") !== null,
    locale: await locale(),
  };
  const problems = signUpProblems(input);
  if (problems.length > 0) return { done: false, problems };
  const opened = await whileThere((accounts) => signUp(accounts, input));
  if (opened) return opened;
  const to = safePath(text(form, "to"));
  if (to) (await cookies()).set(WANTED_COOKIE, to, { httpOnly: true, sameSite: "lax", path: "/", maxAge: DAY_SECONDS });
  return DONE;
}

function safePath(to: string | undefined): string | null {
  return to !== undefined && /^\/(?![/\\])/u.test(to) ? to : null;
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

export async function signInAction(_: FormState, form: FormData): Promise<FormState> {
  const [network, sent] = [await networkAddress().catch(() => null), await headers()];
  const result = await whileThere((accounts) =>
    signIn(accounts, text(form, "email"), text(form, "password"), network, sent),
  );
  if (typeof result === "object") return result;
  if (result !== "signed in") return { done: false, problems: [result] };
  const { auth, pool } = await webRuntime();
  const user = await (await auth.$context).internalAdapter.findUserByEmail(text(form, "email").trim().toLowerCase());
  const person = user ? await identityOf(pool, user.user.id, new Date()) : null;
  const office = (person?.actor.grants.length ?? 0) > 0;
  if (person && !office) (await cookies()).set(LOCALE_COOKIE, person.locale, { sameSite: "lax", path: "/" });
  const wanted = await wantedBefore();
  redirect(safePath(text(form, "to")) ?? (office ? "/office" : (wanted ?? (await landing(person)))));
}

const mailLink = async (form: FormData, purpose: Parameters<typeof askForLink>[2]): Promise<FormState> =>
  (await whileThere((accounts) => askForLink(accounts, text(form, "email"), purpose))) ?? DONE;

export const lostPasswordAction = async (_: FormState, form: FormData): Promise<FormState> =>
  mailLink(form, "set password");

export const sendAgainAction = async (_: FormState, form: FormData): Promise<FormState> =>
  mailLink(form, "confirm address");

const afterLink = (result: "done" | "ended" | FormState): FormState =>
  typeof result === "object" ? result : result === "done" ? DONE : { done: false, problems: ["linkEnded"] };

export async function confirmAction(_: FormState, form: FormData): Promise<FormState> {
  return afterLink(await whileThere((accounts) => confirmAddress(accounts, text(form, "token"))));
}

export async function setPasswordAction(_: FormState, form: FormData): Promise<FormState> {
  const password = text(form, "password");
  if (password.length < LEAST_PASSWORD) return { done: false, problems: ["badPassword"] };
  return afterLink(await whileThere((accounts) => setPassword(accounts, text(form, "token"), password)));
}
