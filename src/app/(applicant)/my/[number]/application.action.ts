"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Outcome } from "../../../../acts/act/act";
import { arrangeChoices, changeChoice } from "../../../../acts/application/change-choices";
import { sendCorrections } from "../../../../acts/application/reopen-sections";
import { requestCorrection } from "../../../../acts/application/request-correction";
import { submitApplication } from "../../../../acts/application/submit-application";
import { giveUndertaking } from "../../../../acts/application/undertaking";
import { withdraw } from "../../../../acts/application/withdraw";
import { answerAsk } from "../../../../acts/asks/answers";
import { confirmContact } from "../../../../acts/contact/contact-notes";
import { dropHeld } from "../../../../acts/conversation/attachments";
import { writeToOffice } from "../../../../acts/conversation/conversation";
import { orderOwnCopy } from "../../../../acts/copies/copies";
import { answerDecision } from "../../../../acts/decision/decisions";
import { removeDocument } from "../../../../acts/evidence/remove-document";
import { requestSignature } from "../../../../acts/evidence/signatures";
import { startPayment } from "../../../../acts/payments/payments";
import { announcePaper, dropAnnouncement } from "../../../../acts/post/papers";
import { askReferenceAgain } from "../../../../acts/references/chase-reference";
import { requestReference, withdrawReference } from "../../../../acts/references/request-reference";
import { askEarlyRuling } from "../../../../acts/rulings/rulings";
import type { Option } from "../../../../core/catalogue/programme";
import type { PaperWay } from "../../../../core/file/facts";
import type { RequirementPlace } from "../../../../core/file/place";
import { webRuntime } from "../../../../runtime";
import { sentence } from "../../../../text/sentence";
import { type WriterLikeness, writerLikeness } from "../../../../views/statements/likeness";
import { locale, perform, requirePerson, see } from "../../../request";

/** What a press answers: nothing when it worked, else the sentence that says what to do. */
export type Pressed = string | null;

async function answer(number: string, outcome: Outcome<unknown>): Promise<Pressed> {
  revalidatePath(`/my/${number}`, "layout");
  if (outcome.ok) return null;
  return sentence(await locale(), `refused.${outcome.reason}`, { check: String(outcome.details?.check ?? "") });
}

const person = (number: string) => requirePerson(`/my/${number}`);

export async function submitChoices(number: string, applicationId: string, choiceId: string): Promise<Pressed> {
  return answer(
    number,
    await perform(submitApplication, (await person(number)).actor, { applicationId, choiceIds: [choiceId] }),
  );
}

/** Asks for the application as PDF; a job makes it. */
export async function printOwn(number: string, documents: boolean): Promise<Pressed> {
  const language = await locale();
  const outcome = await perform(orderOwnCopy, (await person(number)).actor, { number, documents, locale: language });
  return outcome.ok ? null : sentence(language, `refused.${outcome.reason}`, { check: "" });
}

/** Answers a question of the office in words. */
export async function answerQuestion(
  number: string,
  applicationId: string,
  askId: string,
  text: string,
): Promise<Pressed> {
  return answer(number, await perform(answerAsk, (await person(number)).actor, { applicationId, askId, text }));
}

/** Says that a document comes otherwise than by upload. */
export async function announce(
  number: string,
  applicationId: string,
  place: RequirementPlace,
  way: PaperWay,
  expectedOn: string,
): Promise<Pressed> {
  const { actor } = await person(number);
  return answer(number, await perform(announcePaper, actor, { applicationId, ...place, way, expectedOn }));
}

/** Says that it does not come after all. */
export async function unannounce(number: string, applicationId: string, place: RequirementPlace): Promise<Pressed> {
  return answer(number, await perform(dropAnnouncement, (await person(number)).actor, { applicationId, ...place }));
}

/** Writes to the office about an application. */
export async function writeUs(
  number: string,
  applicationId: string,
  text: string,
  about: string,
  files: readonly string[],
): Promise<Pressed> {
  const { actor } = await person(number);
  return answer(number, await perform(writeToOffice, actor, { applicationId, text, about, files: [...files] }));
}

/** Takes a document away from the message that is being written. */
export async function dropAttachment(number: string, applicationId: string, uploadId: string): Promise<Pressed> {
  return answer(number, await perform(dropHeld, (await person(number)).actor, { applicationId, uploadId }));
}

export async function askCorrection(
  number: string,
  applicationId: string,
  sections: { scope: string; section: string }[],
  text: string,
): Promise<Pressed> {
  return answer(
    number,
    await perform(requestCorrection, (await person(number)).actor, { applicationId, sections, text }),
  );
}

export async function askEarly(number: string, place: z.input<(typeof askEarlyRuling)["input"]>): Promise<Pressed> {
  return answer(number, await perform(askEarlyRuling, (await person(number)).actor, place));
}

export async function confirmPlace(number: string, place: z.input<(typeof confirmContact)["input"]>): Promise<Pressed> {
  return answer(number, await perform(confirmContact, (await person(number)).actor, place));
}

export async function sendCorrected(number: string, applicationId: string): Promise<Pressed> {
  return answer(number, await perform(sendCorrections, (await person(number)).actor, { applicationId, true: true }));
}

export async function withdrawApplication(number: string, applicationId: string): Promise<Pressed> {
  return answer(number, await perform(withdraw, (await person(number)).actor, { applicationId }));
}

export async function withdrawChoice(number: string, applicationId: string, choiceId: string): Promise<Pressed> {
  return answer(number, await perform(withdraw, (await person(number)).actor, { applicationId, choiceId }));
}

export async function arrange(number: string, applicationId: string, order: string[]): Promise<Pressed> {
  return answer(number, await perform(arrangeChoices, (await person(number)).actor, { applicationId, order }));
}

export async function promiseOrder(number: string, applicationId: string, order: string[]): Promise<Pressed> {
  return answer(
    number,
    await perform(giveUndertaking, (await person(number)).actor, { applicationId, order, locale: await locale() }),
  );
}

export async function change(
  number: string,
  applicationId: string,
  choiceId: string,
  part: Option | "tracks",
  value: string | readonly string[],
): Promise<Pressed> {
  const input = { applicationId, choiceId, [part]: typeof value === "string" ? value : [...value] };
  return answer(number, await perform(changeChoice, (await person(number)).actor, input));
}

export async function answerOffer(
  number: string,
  applicationId: string,
  choiceId: string,
  given: "accepted" | "declined",
): Promise<Pressed> {
  return answer(
    number,
    await perform(answerDecision, (await person(number)).actor, { applicationId, choiceId, answer: given }),
  );
}

export async function askReferee(number: string, applicationId: string, referee: string): Promise<Pressed> {
  return answer(number, await perform(requestReference, (await person(number)).actor, { applicationId, referee }));
}

export async function askRefereeAgain(number: string, applicationId: string, requestId: string): Promise<Pressed> {
  return answer(number, await perform(askReferenceAgain, (await person(number)).actor, { applicationId, requestId }));
}

export async function withdrawRequest(number: string, applicationId: string, requestId: string): Promise<Pressed> {
  return answer(number, await perform(withdrawReference, (await person(number)).actor, { applicationId, requestId }));
}

export async function askSignature(number: string, applicationId: string, requirement: string): Promise<Pressed> {
  return answer(number, await perform(requestSignature, (await person(number)).actor, { applicationId, requirement }));
}

export async function takeOutDocument(number: string, applicationId: string, evidenceId: string): Promise<Pressed> {
  return answer(number, await perform(removeDocument, (await person(number)).actor, { applicationId, evidenceId }));
}

/** Begins a payment and gives the address of the card service's page. */
export async function pay(
  number: string,
  applicationId: string,
  chargeId: string,
): Promise<{ readonly page: string } | { readonly refused: string }> {
  const { card } = await webRuntime();
  if (!card) return { refused: sentence(await locale(), "fee.noCard") };
  const outcome = await perform(startPayment, (await person(number)).actor, { applicationId, chargeId });
  if (!outcome.ok) return { refused: (await answer(number, outcome)) ?? "" };
  const { paymentId, minor, currency } = outcome.value;
  return { page: card.pageFor({ paymentId, minor, currency, returnPath: `/my/${number}/fee` }) };
}

/** What of a statement that is being written stands in those that others handed in; nothing is stored. */
export async function lookForLikeness(
  applicationId: string,
  place: { scope: string; section: string; field: string },
  text: string,
): Promise<WriterLikeness | null> {
  return see(writerLikeness, (await requirePerson("/my")).actor, { applicationId, ...place, text });
}
