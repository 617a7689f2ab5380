import { passkey } from "@better-auth/passkey";
import { hash, verify } from "@node-rs/argon2";
import { betterAuth } from "better-auth";
import { drizzleAdapter } from "better-auth/adapters/drizzle";
import { APIError } from "better-auth/api";
import { nextCookies } from "better-auth/next-js";
import { twoFactor } from "better-auth/plugins";
import type { Database } from "../db/connection";
import * as schema from "../db/schema";
import { LEAST_PASSWORD } from "./passwords";

/** OWASP's first choice for argon2id; the library's default algorithm is argon2id. */
const ARGON2 = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
const SESSION_SECONDS = 14 * 24 * 3600;

/** A passkey stands for the password and the code at once: its device has asked for a finger, a face or a number. */
function requireOwner(userVerified: boolean | undefined): void {
  if (!userVerified) throw new APIError("UNAUTHORIZED", { code: "OWNER_NOT_VERIFIED" });
}

/**
 * The auth package, set up in one place. It owns accounts, credentials and sessions; links, mails, guesses and rights are ours,
 * so none of its own addresses is reached from outside.
 */
export function makeAuth(db: Database, settings: { readonly url: string; readonly secret: string }) {
  return betterAuth({
    baseURL: settings.url,
    secret: settings.secret,
    trustedOrigins: [settings.url],
    telemetry: { enabled: false },
    database: drizzleAdapter(db, { provider: "pg", schema }),
    emailAndPassword: {
      enabled: true,
      requireEmailVerification: true,
      autoSignIn: false,
      minPasswordLength: LEAST_PASSWORD,
      maxPasswordLength: 200,
      password: {
        hash: (password) => hash(password, ARGON2),
        verify: ({ hash: stored, password }) => verify(stored, password),
      },
    },
    // Whatever needs somebody who is certainly there asks for the password; the age of the session says nothing of it.
    session: { expiresIn: SESSION_SECONDS, updateAge: 24 * 3600, freshAge: 0 },
    rateLimit: { enabled: false },
    // What goes wrong is thrown and logged by whoever called; its own lines would hold the values of statements, session tokens among them.
    logger: { disabled: true },
    advanced: { useSecureCookies: settings.url.startsWith("https://"), cookiePrefix: "unvex" },
    plugins: [
      twoFactor({
        issuer: "Unvex",
        // Whoever guesses at codes knows the password: ten wrong ones stop every further one for an hour.
        accountLockout: { maxFailedAttempts: 10, durationSeconds: 3600 },
      }),
      passkey({
        rpName: "Unvex",
        rpID: new URL(settings.url).hostname,
        origin: new URL(settings.url).origin,
        authenticatorSelection: { residentKey: "required", userVerification: "required" },
        registration: {
          afterVerification: async ({ verification }) => requireOwner(verification.registrationInfo?.userVerified),
        },
        authentication: {
          afterVerification: async ({ verification }) => requireOwner(verification.authenticationInfo.userVerified),
        },
      }),
      nextCookies(),
    ],
  });
}

export type Auth = ReturnType<typeof makeAuth>;
