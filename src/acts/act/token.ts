import { createHash, randomBytes } from "node:crypto";

/** A link's secret: 256 random bits. Only its hash is stored. */
export function newToken(): { readonly token: string; readonly hash: string } {
  const token = randomBytes(32).toString("base64url");
  return { token, hash: hashToken(token) };
}

export function hashToken(token: string): string {
  return createHash("sha256").update(token).digest("hex");
}
