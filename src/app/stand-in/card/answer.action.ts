"use server";

import { randomUUID } from "node:crypto";
import { notFound, redirect } from "next/navigation";
import { recordPayment } from "../../../acts/payments/payments";
import { readOrder, sign } from "../../../outside/card";
import { webRuntime } from "../../../runtime";
import { perform, SYSTEM } from "../../request";

/** Sends the stand-in's answer the way a real service does: signed, through the port, and twice when asked to. */
export async function answerOrder(form: FormData): Promise<void> {
  const { settings, card } = await webRuntime();
  const payment = card && readOrder(settings.secret, String(form.get("order")), String(form.get("signature")));
  if (!card || !payment) notFound();
  const asked = String(form.get("result"));
  const result = asked === "declined" || asked === "abandoned" ? asked : "booked";
  const body = JSON.stringify({ paymentId: payment.paymentId, providerKey: randomUUID(), result });
  for (let time = 0; time < (asked === "twice" ? 2 : 1); time += 1) {
    const answer = card.readAnswer(body, sign(settings.secret, body));
    if (answer) await perform(recordPayment, SYSTEM, answer);
  }
  redirect(payment.returnPath);
}
