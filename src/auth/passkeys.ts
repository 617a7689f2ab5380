import { isAPIError } from "better-auth/api";
import { z } from "zod";
import { runAct } from "../acts/act/act";
import { noteSignIn } from "../acts/people/access";
import { notePasskey } from "../acts/people/passkeys";
import { type AccountContext, guessAt } from "./accounts";
import type { Owner } from "./second-factor";

/**
 * Passkeys (W3C Web Authentication): a device signs a challenge after it has made sure of its owner, which stands for the password and the
 * code of the second factor at once. The account package makes and checks the challenges; what is ours is that a new one needs the
 * password, that its owner is told, and that both are on record. The second factor stays what a password is asked with.
 */
const SYSTEM = { kind: "system" } as const;

/** A passkey as its owner sees it. */
export interface OwnPasskey {
  readonly id: string;
  readonly name: string;
  readonly addedAt: string;
}

/** What a browser answers to a challenge; everything in it is checked by the account package. */
const LONGEST = 20_000;
const part = z.string().max(LONGEST);
const common = {
  id: part.min(1),
  rawId: part,
  type: z.literal("public-key"),
  clientExtensionResults: z.looseObject({}),
};
const madeSchema = z.object({
  ...common,
  response: z.object({ clientDataJSON: part, attestationObject: part, transports: z.array(part).max(20).optional() }),
});
const signedSchema = z.object({
  ...common,
  response: z.object({ clientDataJSON: part, authenticatorData: part, signature: part, userHandle: part.optional() }),
});

/** Whether passkeys work at an address: browsers bind them to a name, never to a number, and only where nobody can listen. */
export function canHavePasskeys(url: string): boolean {
  const { hostname, protocol } = new URL(url);
  return !/^[\d.]+$|^\[/u.test(hostname) && (protocol === "https:" || hostname === "localhost");
}

/** The account package calls whatever goes wrong a wrong answer: where the database is away, this says so. */
async function wrongUnlessAway({ pool }: AccountContext["runtime"], error: unknown): Promise<"wrong"> {
  if (!isAPIError(error)) throw error;
  await pool.query("select 1");
  return "wrong";
}

/** The challenge to which a new passkey is made, for whoever knows the password. */
export async function beginPasskey({ runtime, auth }: AccountContext, owner: Owner, password: string) {
  return guessAt(runtime, owner.email, owner, async () => {
    await auth.api.verifyPassword({ body: { password }, headers: owner.headers });
    return auth.api.generatePasskeyRegistrationOptions({ headers: owner.headers });
  });
}

/** Keeps the passkey that a device has made; "wrong" where it answers no challenge of the last minutes, or has not asked who holds it. */
export async function keepPasskey(
  { runtime, auth }: AccountContext,
  owner: Owner,
  name: string,
  answer: unknown,
): Promise<"kept" | "wrong"> {
  const response = madeSchema.safeParse(answer);
  if (!response.success) return "wrong";
  try {
    await auth.api.verifyPasskeyRegistration({ body: { response: response.data, name }, headers: owner.headers });
  } catch (error) {
    return wrongUnlessAway(runtime, error);
  }
  const { email, network } = owner;
  await runAct(runtime, notePasskey, SYSTEM, { email, kind: "passkey added", key: name, network });
  return "kept";
}

/** The passkeys of whoever is signed in, the newest first. */
export async function passkeysOf({ auth }: Pick<AccountContext, "auth">, headers: Headers): Promise<OwnPasskey[]> {
  const keys = await auth.api.listPasskeys({ headers });
  return keys
    .map(({ id, name, createdAt }) => ({ id, name: name ?? "", addedAt: createdAt.toISOString() }))
    .sort((a, b) => (a.addedAt < b.addedAt ? 1 : -1));
}

/** Removes a passkey of one's own; nothing where it is somebody else's or gone. */
export async function removePasskey({ runtime, auth }: AccountContext, owner: Owner, id: string): Promise<void> {
  const own = (await passkeysOf({ auth }, owner.headers)).find((key) => key.id === id);
  if (!own) return;
  await auth.api.deletePasskey({ body: { id }, headers: owner.headers });
  const { email, network } = owner;
  await runAct(runtime, notePasskey, SYSTEM, { email, kind: "passkey removed", key: own.name, network });
}

/** The challenge that a device signs to come in; it names no account. */
export async function passkeyChallenge({ auth }: Pick<AccountContext, "auth">, headers: Headers) {
  const options = await auth.api.generatePasskeyAuthenticationOptions({ headers });
  return { ...options, userVerification: "required" as const };
}

/** Signs in by what a device has answered to the challenge of this browser. */
export async function signInByPasskey(
  { runtime, auth }: AccountContext,
  answer: unknown,
  { headers, network }: Pick<Owner, "headers" | "network">,
): Promise<{ readonly email: string } | "wrong"> {
  const response = signedSchema.safeParse(answer);
  if (!response.success) return "wrong";
  try {
    const { user } = await auth.api.verifyPasskeyAuthentication({ body: { response: response.data }, headers });
    await runAct(runtime, noteSignIn, SYSTEM, { email: user.email, kind: "signed in", network });
    return { email: user.email };
  } catch (error) {
    return wrongUnlessAway(runtime, error);
  }
}
