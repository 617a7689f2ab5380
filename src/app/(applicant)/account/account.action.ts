"use server";

import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import { askForLink, confirmAddress, setPassword, signIn, signUp, signUpProblems } from "../../../auth/accounts";
import { LEAST_PASSWORD } from "../../../auth/better-auth";
import { webRuntime } from "../../../runtime";
import { landingHref } from "../../../ui/applicant-step";
import { type Identity, identityOf } from "../../../views/identity";
import { myApplication } from "../../../views/my-application";
import { myApplications } from "../../../views/my-applications";
import { LOCALE_COOKIE, locale, networkAddress, see } from "../../request";

/** What a form of the account pages answers: problems by code, or that it is done. What was typed stays in the form. */
export interface FormState {
  readonly done: boolean;
  readonly problems: readonly string[];
}

const WANTED_COOKIE = "unvex-wanted";
const DAY_SECONDS = 86_400;

const DONE: FormState = { done: true, problems: [] };
const text = (form: FormData, name: string): string => {
  const value = form.get(name);
  return typeof value === "string" ? value : "";
};

async function context() {
  const runtime = await webRuntime();
  return { runtime, auth: runtime.auth };
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
  await signUp(await context(), input);
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
  const [next] = lines
    .filter((line) => line.turn === "applicant")
    .sort((a, b) => ((a.dueAt ?? "9999") < (b.dueAt ?? "9999") ? -1 : 1));
  const application = person && next ? await see(myApplication, person.actor, { number: next.number }) : null;
  return application ? landingHref(application.number, application.assessment) : "/my";
}

export async function signInAction(_: FormState, form: FormData): Promise<FormState> {
  const accounts = await context();
  const result = await signIn(
    accounts,
    text(form, "email"),
    text(form, "password"),
    await networkAddress(),
    await headers(),
  );
  if (result !== "signed in") return { done: false, problems: [result] };
  const user = await (await accounts.auth.$context).internalAdapter.findUserByEmail(
    text(form, "email").trim().toLowerCase(),
  );
  const person = user ? await identityOf(accounts.runtime.pool, user.user.id) : null;
  const office = (person?.actor.grants.length ?? 0) > 0;
  if (person && !office) (await cookies()).set(LOCALE_COOKIE, person.locale, { sameSite: "lax", path: "/" });
  const wanted = await wantedBefore();
  redirect(safePath(text(form, "to")) ?? (office ? "/office" : (wanted ?? (await landing(person)))));
}

export async function lostPasswordAction(_: FormState, form: FormData): Promise<FormState> {
  await askForLink(await context(), text(form, "email"), "set password");
  return DONE;
}

export async function sendAgainAction(_: FormState, form: FormData): Promise<FormState> {
  await askForLink(await context(), text(form, "email"), "confirm address");
  return DONE;
}

export async function confirmAction(_: FormState, form: FormData): Promise<FormState> {
  const result = await confirmAddress(await context(), text(form, "token"));
  return result === "done" ? DONE : { done: false, problems: ["linkEnded"] };
}

export async function setPasswordAction(_: FormState, form: FormData): Promise<FormState> {
  const password = text(form, "password");
  if (password.length < LEAST_PASSWORD) return { done: false, problems: ["badPassword"] };
  const result = await setPassword(await context(), text(form, "token"), password);
  return result === "done" ? DONE : { done: false, problems: ["linkEnded"] };
}
