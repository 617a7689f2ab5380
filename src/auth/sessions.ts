import { isSessionOver, NOTED_EVERY_MS } from "../core/people/session-limits";
import type { Auth } from "./better-auth";

/** A session as its owner sees it. */
export interface OwnSession {
  readonly id: string;
  readonly begunAt: string;
  readonly usedAt: string;
  /** What the browser says of itself; empty where it says nothing. */
  readonly device: string;
  readonly isThisOne: boolean;
}

interface Session {
  readonly token: string;
  readonly createdAt: Date;
  readonly updatedAt: Date;
}

/** Whether a session still goes on; notes that it is used, and ends it where its time is over. */
export async function isGoingOn(
  { auth }: { readonly auth: Auth },
  session: Session,
  isStaff: boolean,
): Promise<boolean> {
  const { internalAdapter } = await auth.$context;
  const now = Date.now();
  const times = { begunAt: session.createdAt.getTime(), usedAt: session.updatedAt.getTime() };
  if (isSessionOver(times, isStaff, now)) {
    await internalAdapter.deleteSession(session.token);
    return false;
  }
  if (now - times.usedAt >= NOTED_EVERY_MS)
    await internalAdapter.updateSession(session.token, { updatedAt: new Date(now) });
  return true;
}

/** All sessions of an account, the one used last first. */
export async function sessionsOf(
  { auth }: { readonly auth: Auth },
  userId: string,
  current: string,
): Promise<readonly OwnSession[]> {
  const { internalAdapter } = await auth.$context;
  const sessions = await internalAdapter.listSessions(userId);
  return sessions
    .filter((s) => s.expiresAt.getTime() > Date.now())
    .sort((a, b) => b.updatedAt.getTime() - a.updatedAt.getTime())
    .map((s) => ({
      id: s.id,
      begunAt: s.createdAt.toISOString(),
      usedAt: s.updatedAt.toISOString(),
      device: s.userAgent ?? "",
      isThisOne: s.token === current,
    }));
}

/** Ends one session of an account; nothing where it is somebody else's or gone. */
export async function endSession({ auth }: { readonly auth: Auth }, userId: string, id: string): Promise<void> {
  const { internalAdapter } = await auth.$context;
  const own = (await internalAdapter.listSessions(userId)).find((s) => s.id === id);
  if (own) await internalAdapter.deleteSession(own.token);
}
