import "server-only";
import { randomBytes } from "node:crypto";
import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import type { z } from "zod";
import type { Act, Outcome } from "../acts/act/act";
import { runAct } from "../acts/act/act";
import { noteReading } from "../acts/people/access";
import { isGoingOn } from "../auth/sessions";
import { type Actor, holds, OFFICE, type Role } from "../core/rights/actor";
import type { Locale } from "../core/text/local-text";
import { describeDefect, isOutage, withoutValues } from "../db/defects";
import { webRuntime } from "../runtime";
import { pickLocale } from "../text/sentence";
import { AWAY } from "../ui/frame/away";
import { type Identity, identityOf, withoutRights } from "../views/people/identity";
import { officeNow } from "../views/view/office-now";
import { readingsOf, readView, type View } from "../views/view/view";

/** What a page needs to know of the request it answers, worked out once a request. */
export const LOCALE_COOKIE = "unvex-locale";

export const nonce = async (): Promise<string> => (await headers()).get("x-nonce") ?? "";

/** The number of this request: it stands in the log and on the page that says that something went wrong. */
const requestId = cache(
  async (): Promise<string> => (await headers()).get("x-request-id") ?? randomBytes(8).toString("hex"),
);

/** Whatever goes wrong in `work` carries the number of this request to the page. What has a number already keeps it, and what is only away says so. */
async function numbered<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    // Whoever prints it further out prints no values of statements.
    const safe = withoutValues(error);
    if (safe instanceof Error && !("digest" in safe)) {
      const id = await requestId();
      Object.assign(safe, { digest: isOutage(safe) ? `${AWAY}${id}` : id });
    }
    throw safe;
  }
}

/** Logs a defect that is answered on the page itself. */
export async function logDefect(error: unknown): Promise<void> {
  const id = await requestId();
  const runtime = await webRuntime().catch(() => null);
  runtime?.log.error({ requestId: id, error: describeDefect(error) }, "defect");
}

/** What a route answers where something went wrong on our side: the number under which it stands in the log. */
export async function failed(error: unknown): Promise<Response> {
  await logDefect(error);
  const id = await requestId();
  return Response.json({ reason: "failed", id }, { status: 500, headers: { "x-request-id": id } });
}

export const currentSession = cache(() =>
  numbered(async () => {
    const { auth, pool } = await webRuntime();
    // With the cookies as they are now: what an action has changed stands in no header of its request.
    const sent = new Headers(await headers());
    sent.set("cookie", (await cookies()).toString());
    return auth.api.getSession({ headers: sent }).catch(async (error: unknown) => {
      // The account package does not say what was wrong: where the database is away, this says so.
      await pool.query("select 1");
      throw error;
    });
  }),
);

export const identity = cache(
  (): Promise<Identity | null> =>
    numbered(async () => {
      const session = await currentSession();
      if (!session) return null;
      const runtime = await webRuntime();
      const person = await identityOf(runtime.pool, session.user.id, new Date());
      if (!person || !(await isGoingOn(runtime, session.session, person.isStaff))) return null;
      const owes = person.isStaff && runtime.settings.secondFactor === "required" && !session.user.twoFactorEnabled;
      return owes ? withoutRights(person) : person;
    }),
);

export const locale = cache(async (): Promise<Locale> => {
  const chosen = (await cookies()).get(LOCALE_COOKIE)?.value;
  return pickLocale(chosen, (await headers()).get("accept-language"));
});

/** The zone on whose clock the office lives. */
export const officeZone = cache(() => numbered(async () => (await officeNow((await webRuntime()).pool)).set.zone));

export const VISITOR: Actor = { kind: "visitor" };
export const SYSTEM: Actor = { kind: "system" };

const ACCOUNT = "/account";

/** The person signed in; others are led to the sign-in page and back, and who owes a second factor to where it is set up. */
export async function requirePerson(back: string): Promise<Identity> {
  const person = await identity();
  if (!person) redirect(`/sign-in?to=${encodeURIComponent(back)}`);
  if (person.owesSecondFactor && !back.startsWith(ACCOUNT))
    redirect(`${ACCOUNT}/second-factor?to=${encodeURIComponent(back)}`);
  return person;
}

export const isOffice = (person: Identity): boolean => holds(person.actor, OFFICE);

/** A member of staff with one of the roles; everybody else gets the page that says so. */
export async function requireStaff(back: string, roles: readonly Role[]): Promise<Identity> {
  const person = await requirePerson(back);
  if (!holds(person.actor, roles)) redirect("/office/no-permission");
  return person;
}

/** Reads a view as the actor of this request. */
export async function see<Schema extends z.ZodType, Data>(
  view: View<Schema, Data>,
  actor: Actor,
  input: z.input<Schema>,
): Promise<Data | null> {
  const data = await numbered(async () => readView(await webRuntime(), view, actor, input));
  const readings = readingsOf(view, actor, input, data);
  // What cannot be noted is not shown.
  if (readings.length > 0)
    await perform(noteReading, actor, { readings: [...readings], network: await networkAddress() });
  return data;
}

/** Runs an act as the actor of this request, and logs its name and outcome with the request's id. */
export async function perform<Schema extends z.ZodType, Value>(
  act: Act<Schema, Value>,
  actor: Actor,
  input: z.input<Schema>,
): Promise<Outcome<Value>> {
  const runtime = await numbered(webRuntime);
  const began = performance.now();
  const outcome = await numbered(() => runAct(runtime, act, actor, input));
  runtime.log.info(
    {
      act: act.name,
      requestId: await requestId(),
      ms: Math.round(performance.now() - began),
      outcome: outcome.ok ? "ok" : outcome.reason,
    },
    "act",
  );
  return outcome;
}

/**
 * The reader's network address, believed only from a configured front server; null where none is configured. Of several the last counts:
 * it is the one that our own front server has written, and whatever stands before it anybody may have sent.
 */
export async function networkAddress(): Promise<string | null> {
  const { settings } = await webRuntime();
  if (settings.addressHeader === "") return null;
  return (await headers()).get(settings.addressHeader)?.split(",").at(-1)?.trim() || null;
}
