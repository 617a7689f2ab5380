"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Act } from "../../../../acts/act/act";
import { moveChoice } from "../../../../acts/application/change-choices";
import { moveProgramme, suggestMove } from "../../../../acts/application/move-programme";
import { endReopening, readCorrections, reopenSections } from "../../../../acts/application/reopen-sections";
import { refuseCorrection } from "../../../../acts/application/request-correction";
import { endOverride, overrideFinding } from "../../../../acts/assessment/override-finding";
import { takeFile } from "../../../../acts/assessment/take-file";
import { extendChoice } from "../../../../acts/catalogue/rounds";
import { askReach, noteReach } from "../../../../acts/contact/contact-notes";
import { leaveOutPage, writeDigest } from "../../../../acts/copies/section-summary";
import { dropDecision, prepareDecision, releaseDecision } from "../../../../acts/decision/decisions";
import { askApplicant, settleAsk } from "../../../../acts/evidence/asks";
import { confirmValues } from "../../../../acts/evidence/confirm-values";
import { doDeed, undoDeed } from "../../../../acts/evidence/deeds";
import { excuseRequirement } from "../../../../acts/evidence/excuse-requirement";
import { acceptEvidence, returnEvidence, undoJudgement } from "../../../../acts/evidence/judge-evidence";
import { noteKeeper } from "../../../../acts/evidence/note-keeper";
import { noteLink } from "../../../../acts/evidence/note-link";
import { setAsideTwin } from "../../../../acts/evidence/remove-document";
import { remindSignature } from "../../../../acts/evidence/signatures";
import { takeBackLine } from "../../../../acts/form/take-back-line";
import { sendAgain } from "../../../../acts/mail/messages";
import { judgeSamePerson } from "../../../../acts/people/same-person";
import { askRegistry, takeRegistryResults } from "../../../../acts/results/registry";
import { moveToRulebook } from "../../../../acts/rulebook/rulebooks";
import { endCaseRuling, ruleOnCase } from "../../../../acts/rulings/rulings";
import { judgeLikeness } from "../../../../acts/statements/likeness";
import { toUtc } from "../../../../core/time/zone";
import type { Supposed } from "../../../../core/what-if/supposing";
import { webRuntime } from "../../../../runtime";
import { REFUSED_WORDS } from "../../../../text/words/office";
import type { Target } from "../../../../ui/application/choice-acts.client";
import { type Elsewhere, elsewhere } from "../../../../views/assessment/elsewhere";
import { type WhatIf, whatIf } from "../../../../views/assessment/what-if";
import { officeNow } from "../../../../views/view/office-now";
import { perform, requirePerson, see } from "../../../request";

/** What an act of the office answers: null when it was done, else the sentence that says why not. */
export type Said = string | null;

async function run<Schema extends z.ZodType, Value>(
  number: string,
  act: Act<Schema, Value>,
  input: z.input<Schema>,
): Promise<Said> {
  const person = await requirePerson(`/office/files/${number}`);
  const outcome = await perform(act, person.actor, input);
  revalidatePath(`/office/files/${number}`);
  if (outcome.ok) return null;
  const more = outcome.details?.check ? ` (${String(outcome.details.check)})` : "";
  return REFUSED_WORDS[outcome.reason] + more;
}

export const accept = async (number: string, input: z.input<(typeof acceptEvidence)["input"]>): Promise<Said> =>
  run(number, acceptEvidence, input);
export const sendBack = async (number: string, input: z.input<(typeof returnEvidence)["input"]>): Promise<Said> =>
  run(number, returnEvidence, input);
export const ask = async (number: string, input: z.input<(typeof askApplicant)["input"]>): Promise<Said> =>
  run(number, askApplicant, input);
export const settle = async (number: string, input: z.input<(typeof settleAsk)["input"]>): Promise<Said> =>
  run(number, settleAsk, input);
export const undo = async (number: string, input: z.input<(typeof undoJudgement)["input"]>): Promise<Said> =>
  run(number, undoJudgement, input);
export const confirm = async (number: string, input: z.input<(typeof confirmValues)["input"]>): Promise<Said> =>
  run(number, confirmValues, input);
export const excuse = async (number: string, input: z.input<(typeof excuseRequirement)["input"]>): Promise<Said> =>
  run(number, excuseRequirement, input);
export const takeBack = async (number: string, input: z.input<(typeof takeBackLine)["input"]>): Promise<Said> =>
  run(number, takeBackLine, input);
export const override = async (number: string, input: z.input<(typeof overrideFinding)["input"]>): Promise<Said> =>
  run(number, overrideFinding, input);
export const unsay = async (number: string, input: z.input<(typeof endOverride)["input"]>): Promise<Said> =>
  run(number, endOverride, input);
export const ruleOn = async (number: string, input: z.input<(typeof ruleOnCase)["input"]>): Promise<Said> =>
  run(number, ruleOnCase, input);
export const unrule = async (number: string, input: z.input<(typeof endCaseRuling)["input"]>): Promise<Said> =>
  run(number, endCaseRuling, input);
export const askToSign = async (number: string, input: z.input<(typeof remindSignature)["input"]>): Promise<Said> =>
  run(number, remindSignature, input);
export const doDeedOf = async (number: string, input: z.input<(typeof doDeed)["input"]>): Promise<Said> =>
  run(number, doDeed, input);
export const undoDeedOf = async (number: string, input: z.input<(typeof undoDeed)["input"]>): Promise<Said> =>
  run(number, undoDeed, input);
export const noteReachOf = async (number: string, input: z.input<(typeof noteReach)["input"]>): Promise<Said> =>
  run(number, noteReach, input);
export const askReachOf = async (number: string, input: z.input<(typeof askReach)["input"]>): Promise<Said> =>
  run(number, askReach, input);
export const setAside = async (number: string, input: z.input<(typeof setAsideTwin)["input"]>): Promise<Said> =>
  run(number, setAsideTwin, input);
export const noteKeeperOf = async (number: string, input: z.input<(typeof noteKeeper)["input"]>): Promise<Said> =>
  run(number, noteKeeper, input);
export const noteLinkOf = async (number: string, input: z.input<(typeof noteLink)["input"]>): Promise<Said> =>
  run(number, noteLink, input);
export const askRegistryAbout = async (number: string, input: z.input<(typeof askRegistry)["input"]>): Promise<Said> =>
  run(number, askRegistry, input);
export const takeRegistry = async (
  number: string,
  input: z.input<(typeof takeRegistryResults)["input"]>,
): Promise<Said> => run(number, takeRegistryResults, input);
export const leaveOut = async (number: string, input: z.input<(typeof leaveOutPage)["input"]>): Promise<Said> =>
  run(number, leaveOutPage, input);
export const digestOf = async (number: string, input: z.input<(typeof writeDigest)["input"]>): Promise<Said> =>
  run(number, writeDigest, input);
export const take = async (number: string, input: z.input<(typeof takeFile)["input"]>): Promise<Said> =>
  run(number, takeFile, input);
export const prepare = async (number: string, input: z.input<(typeof prepareDecision)["input"]>): Promise<Said> =>
  run(number, prepareDecision, input);
export const drop = async (number: string, input: z.input<(typeof dropDecision)["input"]>): Promise<Said> =>
  run(number, dropDecision, input);
export const release = async (number: string, input: z.input<(typeof releaseDecision)["input"]>): Promise<Said> =>
  run(number, releaseDecision, input);

export const reopen = async (
  number: string,
  applicationId: string,
  input: Omit<z.input<(typeof reopenSections)["input"]>, "applicationId">,
): Promise<Said> => run(number, reopenSections, { applicationId, ...input });
export const refuseWish = async (number: string, applicationId: string, reason: string): Promise<Said> =>
  run(number, refuseCorrection, { applicationId, reason });
export const read = async (number: string, applicationId: string): Promise<Said> =>
  run(number, readCorrections, { applicationId });
export const end = async (number: string, applicationId: string): Promise<Said> =>
  run(number, endReopening, { applicationId });
export const place = async (
  number: string,
  applicationId: string,
  choiceId: string,
  options: { campus: string | null; mode: string | null; track: string | null },
  reason: string,
): Promise<Said> => run(number, moveChoice, { applicationId, choiceId, ...options, reason });
export const mailAgain = async (number: string, applicationId: string, messageId: string): Promise<Said> =>
  run(number, sendAgain, { applicationId, messageId });
export const judgeSame = async (
  number: string,
  applicationId: string,
  otherNumber: string,
  verdict: z.input<(typeof judgeSamePerson)["input"]>["verdict"],
): Promise<Said> => run(number, judgeSamePerson, { applicationId, otherNumber, verdict });
export const judgeAlike = async (number: string, input: z.input<(typeof judgeLikeness)["input"]>): Promise<Said> =>
  run(number, judgeLikeness, input);
export const move = async (number: string, applicationId: string, choiceId: string, reason: string): Promise<Said> =>
  run(number, moveToRulebook, { applicationId, choiceId, reason });

export const moveTo = async (
  number: string,
  applicationId: string,
  choiceId: string,
  target: Target,
  reason: string,
): Promise<Said> => run(number, moveProgramme, { applicationId, choiceId, ...target, reason });
export const suggest = async (
  number: string,
  applicationId: string,
  choiceId: string,
  target: Target,
  reason: string,
): Promise<Said> => run(number, suggestMove, { applicationId, choiceId, ...target, reason });

/** Works out where one choice would stand on other tracks and programmes; nothing is stored. */
export async function lookElsewhere(number: string, choiceId: string): Promise<Elsewhere | null> {
  const person = await requirePerson(`/office/files/${number}`);
  return see(elsewhere, person.actor, { number, choiceId });
}

/** Works out what would be found if some answers were others; nothing is stored. */
export async function suppose(number: string, changes: Supposed[]): Promise<WhatIf | null> {
  const person = await requirePerson(`/office/files/${number}`);
  return see(whatIf, person.actor, { number, changes });
}

/** @param local a wall time of the office, `2027-02-01T18:00`; one that comes twice is the later one */
export async function extend(
  number: string,
  applicationId: string,
  choiceId: string,
  local: string,
  reason: string,
): Promise<Said> {
  const { set } = await officeNow((await webRuntime()).pool);
  return run(number, extendChoice, { applicationId, choiceId, until: toUtc(local, set.zone, "later").utc, reason });
}
