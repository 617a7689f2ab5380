import { createHmac, timingSafeEqual } from "node:crypto";

/**
 * The port to a card service: a page of its own to which the payer is sent, and a signed answer that comes back, perhaps
 * twice. The stand-in ships with Unvex; a real service implements the same two functions.
 */
export interface CardPayment {
  readonly paymentId: string;
  readonly minor: number;
  readonly currency: string;
  /** Where the payer goes afterwards: a path of ours. */
  readonly returnPath: string;
}

export interface CardAnswer {
  readonly paymentId: string;
  readonly providerKey: string;
  readonly result: "booked" | "declined" | "abandoned";
}

export interface CardService {
  /** The address of the payment page. */
  readonly pageFor: (payment: CardPayment) => string;
  /** Reads an answer; null when its signature is not the service's. */
  readonly readAnswer: (body: string, signature: string) => CardAnswer | null;
}

export function sign(secret: string, text: string): string {
  return createHmac("sha256", secret).update(text).digest("base64url");
}

export function isSigned(secret: string, text: string, signature: string): boolean {
  const expected = Buffer.from(sign(secret, text));
  const given = Buffer.from(signature);
  return expected.length === given.length && timingSafeEqual(expected, given);
}

/** The stand-in: its page lives in this application, under `/stand-in/card`. */
export function simulatedCard(secret: string): CardService {
  return {
    pageFor: (payment) => {
      const text = JSON.stringify(payment);
      return `/stand-in/card?order=${encodeURIComponent(Buffer.from(text).toString("base64url"))}&signature=${sign(secret, text)}`;
    },
    readAnswer: (body, signature) => (isSigned(secret, body, signature) ? (JSON.parse(body) as CardAnswer) : null), // signed by ourselves
  };
}

/** The order on the stand-in's page; null when it was tampered with. */
export function readOrder(secret: string, order: string, signature: string): CardPayment | null {
  const text = Buffer.from(order, "base64url").toString("utf8");
  return isSigned(secret, text, signature) ? (JSON.parse(text) as CardPayment) : null; // signed by ourselves
}
