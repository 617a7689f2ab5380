"use server";

import {
  beginFactor,
  confirmFactor,
  type NewFactor,
  removeFactor,
  renewRecoveryCodes,
} from "../../../../auth/second-factor";
import { type FactorProblem, withOwner } from "../with-owner";

export async function begin(password: string): Promise<NewFactor | FactorProblem> {
  return withOwner((accounts, owner) => beginFactor(accounts, owner, String(password)));
}

export async function confirm(code: string): Promise<"on" | FactorProblem> {
  return withOwner((accounts, owner) => confirmFactor(accounts, owner, String(code)));
}

export async function renew(password: string): Promise<readonly string[] | FactorProblem> {
  return withOwner((accounts, owner) => renewRecoveryCodes(accounts, owner, String(password)));
}

/** Takes the factor away: to go without it, or to set it up on another device. */
export async function remove(password: string): Promise<"off" | FactorProblem> {
  return withOwner((accounts, owner) => removeFactor(accounts, owner, String(password)));
}
