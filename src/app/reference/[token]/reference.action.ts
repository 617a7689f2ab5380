"use server";

import { revalidatePath } from "next/cache";
import type { Outcome } from "../../../acts/act/act";
import { hashToken } from "../../../acts/act/token";
import {
  askMoreTime,
  declineReference,
  giveReference,
  openReference,
  saveReference,
} from "../../../acts/references/answer-reference";
import type { DeclineReason, ReferenceAnswers } from "../../../core/references/requests";
import type { Actor } from "../../../core/rights/actor";
import { webRuntime } from "../../../runtime";
import { sentence } from "../../../text/sentence";
import { requestOfLink } from "../../../views/references/reference-page";
import { identity, locale, perform, VISITOR } from "../../request";

async function holder(token: string): Promise<Actor> {
  const requestId = await requestOfLink((await webRuntime()).pool, hashToken(token));
  return requestId ? { kind: "link", requestId } : VISITOR;
}

async function answer(token: string, outcome: Outcome<unknown>): Promise<string | null> {
  revalidatePath(`/reference/${token}`);
  if (outcome.ok) return null;
  return sentence(
    await locale(),
    outcome.reason === "not-yours"
      ? "reference.ended"
      : outcome.reason === "link-ended"
        ? "reference.ended"
        : "refused.invalid-input",
  );
}

export async function begin(token: string): Promise<string | null> {
  const signedIn = (await identity())?.actor.id ?? null;
  return answer(token, await perform(openReference, await holder(token), { signedIn }));
}

export async function give(token: string, answers: ReferenceAnswers): Promise<string | null> {
  return answer(token, await perform(giveReference, await holder(token), { answers: answers as never })); // the act checks it
}

export async function decline(
  token: string,
  reason: { readonly reason: DeclineReason; readonly words: string },
): Promise<string | null> {
  return answer(token, await perform(declineReference, await holder(token), reason));
}

/** Saves what is written so far; the page stays as it is. */
export async function save(token: string, draft: ReferenceAnswers): Promise<boolean> {
  const outcome = await perform(saveReference, await holder(token), draft as never); // the act checks it
  return outcome.ok;
}

export async function askTime(
  token: string,
  asked: { readonly until: string; readonly words: string },
): Promise<string | null> {
  const outcome = await perform(askMoreTime, await holder(token), asked);
  if (!outcome.ok && outcome.reason === "nothing-due") return sentence(await locale(), "reference.moreTooSoon");
  return answer(token, outcome);
}
