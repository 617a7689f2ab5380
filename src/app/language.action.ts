"use server";

import { cookies } from "next/headers";
import { chooseLanguage } from "../acts/people/accounts";
import { identity, LOCALE_COOKIE, perform } from "./request";

const YEAR_SECONDS = 365 * 24 * 3600;

/** Remembers the chosen language in this browser, and for mails when somebody is signed in. */
export async function setLanguage(form: FormData): Promise<void> {
  const locale = form.get("locale") === "fr" ? "fr" : "en";
  (await cookies()).set(LOCALE_COOKIE, locale, { maxAge: YEAR_SECONDS, sameSite: "lax", path: "/" });
  const person = await identity();
  if (person) await perform(chooseLanguage, person.actor, { locale });
}
