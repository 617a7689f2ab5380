"use server";

import { forgetInterest, noteInterest } from "../../../acts/catalogue/interest";
import { locale, networkAddress, perform, VISITOR } from "../../request";

interface FormState {
  readonly done: boolean;
  readonly problems: readonly string[];
}

const text = (form: FormData, name: string) => String(form.get(name) ?? "").trim();

export async function noteInterestAction(_: FormState, form: FormData): Promise<FormState> {
  const outcome = await perform(noteInterest, VISITOR, {
    code: text(form, "code"),
    email: text(form, "email"),
    locale: await locale(),
    network: await networkAddress(),
  });
  return outcome.ok ? { done: true, problems: [] } : { done: false, problems: ["badEmail"] };
}

export async function forgetInterestAction(_: FormState, form: FormData): Promise<FormState> {
  const outcome = await perform(forgetInterest, VISITOR, { token: text(form, "token") });
  return outcome.ok ? { done: true, problems: [] } : { done: false, problems: ["linkEnded"] };
}
