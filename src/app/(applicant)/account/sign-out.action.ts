"use server";

import { revalidatePath } from "next/cache";
import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { signOutEverywhere } from "../../../auth/accounts";
import { endSession } from "../../../auth/sessions";
import { webRuntime } from "../../../runtime";
import { currentSession } from "../../request";

export async function signOut(): Promise<void> {
  const { auth } = await webRuntime();
  await auth.api.signOut({ headers: await headers() });
  redirect("/");
}

/** Ends one session of the account, on whatever device it is. */
export async function endOne(form: FormData): Promise<void> {
  const runtime = await webRuntime();
  const session = await currentSession();
  if (session) await endSession(runtime, session.user.id, String(form.get("id") ?? ""));
  revalidatePath("/account");
}

/** Ends all sessions of the account, on all devices. */
export async function signOutAll(): Promise<void> {
  const runtime = await webRuntime();
  const session = await currentSession();
  if (session) await signOutEverywhere({ runtime, auth: runtime.auth }, session.user.id);
  redirect("/sign-in");
}
