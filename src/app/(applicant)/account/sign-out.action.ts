"use server";

import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { signOutEverywhere } from "../../../auth/accounts";
import { webRuntime } from "../../../runtime";
import { currentSession } from "../../request";

export async function signOut(): Promise<void> {
  const { auth } = await webRuntime();
  await auth.api.signOut({ headers: await headers() });
  redirect("/");
}

/** Ends all sessions of the account, on all devices. */
export async function signOutAll(): Promise<void> {
  const runtime = await webRuntime();
  const session = await currentSession();
  if (session) await signOutEverywhere({ runtime, auth: runtime.auth }, session.user.id);
  redirect("/sign-in");
}
