import { createHmac, randomBytes, timingSafeEqual } from "node:crypto";

/**
 * A device from which somebody has signed in before is known by a word of ours that it keeps. Guesses from it are counted apart, so that
 * a stranger who guesses at an account keeps nobody out who was in it before.
 */
const sign = (secret: string, id: string, email: string): string =>
  createHmac("sha256", secret).update(`device ${id} ${email}`).digest("base64url");

/** The word for a device from which an account was entered. */
export function deviceWord(secret: string, email: string): string {
  const id = randomBytes(12).toString("base64url");
  return `${id}.${sign(secret, id, email)}`;
}

/** The id of a device that this account was entered from before; null for any other word. */
export function knownDevice(secret: string, word: string | undefined, email: string): string | null {
  const [id = "", signature = ""] = word?.split(".") ?? [];
  const [given, expected] = [Buffer.from(signature), Buffer.from(sign(secret, id, email))];
  return given.length === expected.length && timingSafeEqual(given, expected) ? id : null;
}
