import { z } from "zod";
import { nameSimilarity } from "../../core/people/name-similarity";
import { isOpenMail } from "../../core/people/open-mail";
import {
  type Danger,
  type DeclineReason,
  dangerOf,
  REFERENCE_LISTS,
  type ReferenceList,
  type ReferenceSign,
  SOON_DAYS,
} from "../../core/references/requests";
import { formatDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface ReferenceRow {
  /** The request, or where nobody was asked yet the entry of the form. */
  readonly id: string;
  readonly applicationId: string;
  readonly number: string;
  readonly applicant: string;
  readonly programmes: string;
  readonly stage: string;
  readonly name: string;
  readonly email: string;
  readonly state: string;
  readonly askedAt: string | null;
  /** Of the last mail to the referee: when it went out, or why it did not. */
  readonly sentAt: string | null;
  readonly failure: string | null;
  readonly openedAt: string | null;
  /** Whether something was written that was not given yet. */
  readonly begun: boolean;
  readonly givenAt: string | null;
  readonly remindedAt: string | null;
  readonly reminders: number;
  /** The last day of the referee's time. */
  readonly due: string | null;
  readonly danger: Danger;
  readonly moreUntil: string | null;
  readonly moreWords: string;
  readonly declineReason: DeclineReason | null;
  readonly declineWords: string;
  readonly signs: readonly ReferenceSign[];
}

export interface ReferencesPage {
  readonly list: ReferenceList;
  readonly counts: Readonly<Record<ReferenceList, number>>;
  readonly rows: readonly ReferenceRow[];
}

const MOST_LISTED = 300;
/** From here on two names are one, however they are written. */
const SAME_NAME = 0.95;
/** References that came are listed for so long. */
const GIVEN_DAYS = 30;

/** Whether somebody else is asked in the place of a request that failed. */
const REPLACED = `exists (select 1 from reference_request o where o.application_id = r.application_id and o.referee = r.referee and o.state in ('asked', 'opened', 'given'))`;
const OPEN = "r.state in ('asked', 'opened')";

/** Each list as a condition on requests; `$2` is now. */
const CONDITIONS: Readonly<Record<Exclude<ReferenceList, "not asked">, string>> = {
  "more time": `${OPEN} and r.more_until is not null`,
  endangered: `${OPEN} and r.more_until is null and r.due_at < $2::timestamptz + make_interval(days => ${SOON_DAYS})`,
  failed: `r.state in ('declined', 'undeliverable') and not ${REPLACED}`,
  waiting: `${OPEN} and r.more_until is null and r.due_at >= $2::timestamptz + make_interval(days => ${SOON_DAYS})`,
  given: `r.state = 'given' and r.given_at > $2::timestamptz - make_interval(days => ${GIVEN_DAYS})`,
};

const REQUESTS = `reference_request r join file_standing s on s.application_id = r.application_id
  where s.stage <> 'closed' and ${fileInScope("r.application_id", "$1")}`;

/** Referees whom a form names with an address and who were never asked. */
const NOT_ASKED = `from file_standing s
  join lateral (select distinct x->>'key' as section from choice c join rulebook b on b.id = c.rulebook_id, jsonb_array_elements(b.body->'sections') x
    where c.application_id = s.application_id and c.withdrawn_at is null and x->>'core' = 'referees') f on true
  join answer e on e.application_id = s.application_id and e.scope = 'file' and e.section = f.section and e.field = 'email' and e.value #>> '{}' <> ''
  left join answer n on n.application_id = e.application_id and n.scope = e.scope and n.section = e.section and n.entry = e.entry and n.field = 'name'
  where s.stage <> 'closed' and ${fileInScope("s.application_id", "$1")} and $2::timestamptz is not null
    and not exists (select 1 from reference_request r where r.application_id = s.application_id and r.referee = e.entry)`;

const FILE = `s.application_id as "applicationId", s.number, s.name as applicant, s.programmes, s.stage`;

/** Requests to referees over all files of an office, the most endangered first, or the referees whom nobody has asked yet. */
export const references = defineView({
  name: "references",
  input: z.object({ list: z.enum(REFERENCE_LISTS).catch("endangered").default("endangered") }),
  read: async ({ pool, actor, now }, { list }): Promise<ReferencesPage | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const given = [scopeParameter(scope), now];
    const conditions = Object.entries(CONDITIONS);
    const [office, counted, unasked, listed] = await Promise.all([
      officeNow(pool),
      pool.query<Record<string, number>>(
        `select ${conditions.map(([key, condition]) => `count(*) filter (where ${condition})::int as "${key}"`).join(", ")} from ${REQUESTS}`,
        given,
      ),
      pool.query<{ count: number }>(`select count(*)::int as count ${NOT_ASKED}`, given),
      list === "not asked"
        ? pool.query<Listed>(
            `select e.entry as id, ${FILE}, coalesce(n.value #>> '{}', '') as name, e.value #>> '{}' as email, 'not asked' as state ${NOT_ASKED}
             order by s.number, e.entry limit ${MOST_LISTED}`,
            given,
          )
        : pool.query<Listed>(
            `select r.id, ${FILE}, r.name, r.email, r.state, r.asked_at as "askedAt", m.sent_at as "sentAt", m.failure, r.opened_at as "openedAt",
               r.draft is not null as begun, r.given_at as "givenAt", r.reminded_at as "remindedAt", r.reminders, r.due_at as "dueAt", r.more_until::text as "moreUntil",
               coalesce(r.more_words, '') as "moreWords", r.decline_reason as "declineReason", coalesce(r.decline_words, '') as "declineWords",
               exists (select 1 from upload u join upload o on o.sha256 = u.sha256 and o.application_id <> u.application_id join reference_request q on q.upload_id = o.id
                 where u.id = r.upload_id) as "sameLetter",
               exists (select 1 from reference_request q join application a on a.id = q.application_id join application b on b.id = r.application_id
                 where q.email = r.email and q.name <> r.name and a.person_id <> b.person_id) as "sameAddress", r.own_browser as "ownBrowser"
             from reference_request r join file_standing s on s.application_id = r.application_id
             left join lateral (select sent_at, failure from message m where m.application_id = r.application_id and m.to_address = r.email
               and m.template in ('reference-asked', 'reference-reminder', 'reference-extended') order by m.queued_at desc limit 1) m on true
             where s.stage <> 'closed' and ${fileInScope("r.application_id", "$1")} and ${CONDITIONS[list]} and $2::timestamptz is not null
             order by ${list === "given" ? "r.given_at desc" : "r.due_at"}, s.number, r.id limit ${MOST_LISTED}`,
            given,
          ),
    ]);
    const today = formatDay(dayAt(office.zone, now.getTime()));
    const rows = listed.rows.map(({ dueAt, sameLetter, sameAddress, ownBrowser, ...row }) => {
      const due = dueAt ? formatDay(dayAt(office.zone, dueAt.getTime())) : null;
      const signs: ReferenceSign[] = [
        ...(isOpenMail(row.email.split("@")[1] ?? "") ? (["open mailbox"] as const) : []),
        ...(sameLetter ? (["same letter"] as const) : []),
        ...(sameAddress ? (["same address"] as const) : []),
        ...(ownBrowser ? (["own browser"] as const) : []),
        ...(nameSimilarity(row.name, row.applicant).score >= SAME_NAME ? (["own name"] as const) : []),
      ];
      return {
        ...EMPTY,
        ...row,
        askedAt: iso(row.askedAt),
        sentAt: iso(row.sentAt),
        openedAt: iso(row.openedAt),
        givenAt: iso(row.givenAt),
        remindedAt: iso(row.remindedAt),
        due,
        danger:
          due !== null && (row.state === "asked" || row.state === "opened") ? dangerOf(due, today) : ("none" as const),
        signs,
      };
    });
    const counts = { ...counted.rows[0], "not asked": unasked.rows[0]?.count ?? 0 } as ReferencesPage["counts"]; // every list is counted
    return { list, counts, rows };
  },
});

const iso = (at: Date | null | undefined): string | null => at?.toISOString() ?? null;

/** What a referee who was never asked has nothing of. */
const EMPTY = {
  failure: null,
  begun: false,
  reminders: 0,
  moreUntil: null,
  moreWords: "",
  declineReason: null,
  declineWords: "",
};

interface Listed
  extends Omit<
    ReferenceRow,
    "askedAt" | "sentAt" | "openedAt" | "givenAt" | "remindedAt" | "due" | "danger" | "signs"
  > {
  readonly askedAt?: Date | null;
  readonly sentAt?: Date | null;
  readonly openedAt?: Date | null;
  readonly givenAt?: Date | null;
  readonly remindedAt?: Date | null;
  readonly dueAt?: Date | null;
  readonly sameLetter?: boolean;
  readonly sameAddress?: boolean;
  readonly ownBrowser?: boolean;
}
