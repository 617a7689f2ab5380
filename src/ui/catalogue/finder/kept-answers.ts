import type { TrialAnswer } from "../../form/trial-form.client";

/** What a visitor entered in a self-check, kept in this browser alone until it is carried into an application or cleared. */
const keyOf = (code: string) => `unvex.check.${code}`;
const CARRY = "unvex.carry";

export function keptAnswers(code: string): readonly TrialAnswer[] {
  try {
    const stored = JSON.parse(window.localStorage.getItem(keyOf(code)) ?? "[]") as unknown;
    return Array.isArray(stored) ? (stored as TrialAnswer[]) : []; // written by keepAnswers below
  } catch {
    return [];
  }
}

export function keepAnswers(code: string, answers: readonly TrialAnswer[]): void {
  try {
    if (answers.length === 0) window.localStorage.removeItem(keyOf(code));
    else window.localStorage.setItem(keyOf(code), JSON.stringify(answers));
  } catch {
    // a browser that keeps nothing still answers
  }
}

/** Remembers, over sign-up and sign-in, that the answers of one check are to be carried into the application. */
export function askToCarry(code: string | null): void {
  try {
    if (code === null) window.localStorage.removeItem(CARRY);
    else window.localStorage.setItem(CARRY, code);
  } catch {
    // as above
  }
}

export function wantsToCarry(code: string): boolean {
  try {
    return window.localStorage.getItem(CARRY) === code;
  } catch {
    return false;
  }
}
