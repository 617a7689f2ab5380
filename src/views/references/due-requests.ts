import type pg from "pg";
import { reminderDue } from "../../core/references/requests";
import { formatDay } from "../../core/time/day";
import { dayAt, toInstant } from "../../core/time/zone";
import { officeNow } from "../view/office-now";

/** The requests whose referees are to be reminded today. For the system alone. */
export async function requestsToRemind(
  pool: pg.Pool,
  now: Date,
): Promise<readonly { readonly applicationId: string; readonly requestId: string }[]> {
  const office = await officeNow(pool);
  const dayOf = (at: string) => formatDay(dayAt(office.zone, Date.parse(at)));
  const { rows } = await pool.query<{
    file: string;
    id: string;
    asked_at: Date;
    reminded_at: Date | null;
    reminders: number;
    due_at: Date;
  }>(
    `select r.application_id as file, r.id, r.asked_at, r.reminded_at, r.reminders, r.due_at from reference_request r
       join file_standing s on s.application_id = r.application_id
     where r.state in ('asked', 'opened') and s.stage <> 'closed' and r.ends_at > $1 order by r.due_at, r.id`,
    [now],
  );
  return rows
    .filter(({ asked_at, reminded_at, reminders, due_at }) =>
      reminderDue(
        {
          askedAt: toInstant(asked_at.getTime()),
          remindedAt: reminded_at && toInstant(reminded_at.getTime()),
          reminders,
          due: formatDay(dayAt(office.zone, due_at.getTime())),
        },
        office.set.referees,
        formatDay(dayAt(office.zone, now.getTime())),
        dayOf,
      ),
    )
    .map(({ file, id }) => ({ applicationId: file, requestId: id }));
}
