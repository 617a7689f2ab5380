import { and, count, eq, gt } from "drizzle-orm";
import { conversation } from "../../db/schema";
import type { ActContext } from "../act/act";

/** Whoever has more to say in one day is better heard on the phone. */
const MOST_A_DAY = 20;
const DAY_MS = 86_400_000;

/** Whether the applicant of a file has written as much within a day as anybody can read, by mail or on the page. */
export async function wroteEnough({ db, now }: ActContext, applicationId: string): Promise<boolean> {
  const [today] = await db
    .select({ number: count() })
    .from(conversation)
    .where(
      and(
        eq(conversation.applicationId, applicationId),
        eq(conversation.fromOffice, false),
        gt(conversation.at, new Date(now.getTime() - DAY_MS)),
      ),
    );
  return (today?.number ?? 0) >= MOST_A_DAY;
}
