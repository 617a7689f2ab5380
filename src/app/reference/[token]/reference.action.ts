"use server";

import { revalidatePath } from "next/cache";
import type { Outcome } from "../../../acts/act/act";
import { hashToken } from "../../../acts/act/token";
import { declineReference, giveReference, openReference } from "../../../acts/references/answer-reference";
import type { Actor } from "../../../core/rights/actor";
import { webRuntime } from "../../../runtime";
import { sentence } from "../../../text/sentence";
import { requestOfLink } from "../../../views/references/reference-page";
import { locale, perform, VISITOR } from "../../request";

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
  return answer(token, await perform(openReference, await holder(token), {}));
}

export async function give(
  token: string,
  answers: { readonly known: string; readonly rating: string; readonly text: string },
): Promise<string | null> {
  return answer(token, await perform(giveReference, await holder(token), { answers: answers as never })); // the act checks it
}

export async function decline(token: string): Promise<string | null> {
  return answer(token, await perform(declineReference, await holder(token), {}));
}
