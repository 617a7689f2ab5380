import type pg from "pg";
import type { MergeValues } from "../../core/conversation/merge";
import type { TextUse } from "../../core/conversation/text-uses";
import type { KeptReason } from "../../core/evidence/return-reasons";
import type { MailWords } from "../../core/mail/inputs";
import type { Actor } from "../../core/rights/actor";
import type { Locale } from "../../core/text/local-text";
import { formatDate } from "../../text/format";
import { reasonsNow } from "../../text/words/return-reasons";
import { ownReasons } from "../evidence/return-reasons";
import { officeNow } from "../view/office-now";

/** What an officer writes to an applicant with: their language, what a file fills in, and the texts of the office. */
export interface WritingAids {
  /** The language in which the applicant reads. */
  readonly locale: Locale;
  readonly values: MergeValues;
  /** The words of the office for the mail that asks for several things; null for those that come with Unvex. */
  readonly askedList: MailWords | null;
  /** Why documents go back, those included that may not be chosen any more. */
  readonly reasons: readonly KeptReason[];
  readonly texts: readonly {
    readonly id: string;
    readonly name: string;
    readonly en: string;
    readonly fr: string;
    readonly uses: readonly TextUse[];
  }[];
}

/** @param applicationId of a file that the actor may work on */
export async function writingAids(pool: pg.Pool, actor: Actor, applicationId: string): Promise<WritingAids | null> {
  const { zone } = (await officeNow(pool)).set;
  const [found, own, texts] = await Promise.all([
    pool.query<{
      number: string;
      locale: Locale;
      account: string;
      name: string | null;
      title: string | null;
      due: string | null;
      programmes: string | null;
      askedList: MailWords | null;
    }>(
      `select a.number, p.locale, p.name as account, s.name, s.next_title as title, ((s.due_at - interval '1 second') at time zone $2)::date::text as due,
         (select string_agg(g.title->>p.locale, ', ' order by c.rank) from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id
          where c.application_id = a.id and c.withdrawn_at is null) as programmes,
         (select w.words->p.locale from mail_wording w where w.template = 'asked-list' order by w.version desc limit 1) as "askedList"
       from application a join person p on p.id = a.person_id left join file_standing s on s.application_id = a.id where a.id = $1`,
      [applicationId, zone],
    ),
    ownReasons(pool),
    pool.query<WritingAids["texts"][number]>("select id, name, en, fr, uses from office_text order by lower(name)"),
  ]);
  const [row] = found.rows;
  if (!row || actor.kind !== "person") return null;
  return {
    locale: row.locale,
    askedList: row.askedList,
    reasons: reasonsNow(own),
    values: {
      name: row.name || row.account,
      number: row.number,
      programme: row.programmes ?? "",
      "next step": row.title ?? "",
      by: row.due ? formatDate(row.locale, row.due) : "",
      officer: actor.name,
    },
    texts: texts.rows,
  };
}
