import { z } from "zod";
import { defineView } from "../view/view";

/** A file that could not be assessed again, with what went wrong: its lists show what was worked out last. */
export interface TroubledFile {
  readonly applicationId: string;
  readonly number: string;
  readonly error: string;
  readonly tries: number;
  readonly firstAt: string;
  readonly nextTryAt: string;
}

/** More at once is a defect of a whole version, not of files. */
const MOST = 200;

/** The files that are set aside, for an administrator: numbers and what went wrong, nothing of what stands in them. */
export const troubledFiles = defineView({
  name: "troubled-files",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly TroubledFile[] | null> => {
    if (actor.kind !== "person" || !actor.grants.some((g) => g.role === "administrator")) return null;
    const { rows } = await pool.query<TroubledFile & { firstAt: Date; nextTryAt: Date }>(
      `select t.application_id as "applicationId", a.number, concat_ws(': ', t.error->>'name', t.error->>'message') as error, t.tries,
         t.first_at as "firstAt", t.next_try_at as "nextTryAt"
       from file_trouble t join application a on a.id = t.application_id order by t.first_at, a.number limit ${MOST}`,
    );
    return rows.map((r) => ({ ...r, firstAt: r.firstAt.toISOString(), nextTryAt: r.nextTryAt.toISOString() }));
  },
});
