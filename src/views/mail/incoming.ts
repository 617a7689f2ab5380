import { z } from "zod";
import type { MailOutcome } from "../../core/conversation/incoming";
import { typedNumber } from "../../core/file/typed-number";
import { holds, OFFICE } from "../../core/rights/actor";
import type { DocumentData } from "../evidence/document";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

interface IncomingDocument {
  readonly no: number;
  readonly name: string;
  readonly pages: number;
  readonly marks: readonly string[];
}

/** A mail that came in and that nobody could place by itself, or that was put away. */
export interface IncomingMail {
  readonly id: string;
  readonly at: string;
  readonly from: string;
  readonly fromName: string;
  /** Whose account has this address; null where none has. */
  readonly account: string | null;
  readonly subject: string;
  readonly text: string;
  readonly documents: readonly IncomingDocument[];
  readonly left: readonly { readonly name: string; readonly reason: string }[];
  readonly outcome: MailOutcome;
  readonly dealtBy: string | null;
  /** The file that it seems to be about, where the reader works on it. */
  readonly file: {
    readonly id: string;
    readonly number: string;
    readonly name: string;
    /** It answers a mail to somebody else than the applicant: what it says is not for them. */
    readonly confidential: boolean;
  } | null;
}

const LATELY = 20;
const MOST = 200;

/** What came in by mail and waits for somebody who places it, the longest first, and what was put away lately. */
export const mailIn = defineView({
  name: "mail-in",
  input: z.object({}),
  read: async ({
    pool,
    actor,
  }): Promise<{ readonly waiting: readonly IncomingMail[]; readonly away: readonly IncomingMail[] } | null> => {
    const scope = programmesOf(actor);
    if (scope === null || !holds(actor, OFFICE)) return null;
    const read = async (where: string, order: string, most: number) =>
      (
        await pool.query<Omit<IncomingMail, "at"> & { at: Date }>(
          `select m.id, m.received_at as at, m.from_address as "from", m.from_name as "fromName", m.subject, m.text, m.left_out as "left", m.outcome,
             (select p.name from person p where p.email = m.from_address::citext) as account,
             (select p.name from person p where p.id = m.dealt_by_id) as "dealtBy",
             coalesce((select json_agg(json_build_object('no', f.no, 'name', f.name, 'pages', f.pages, 'marks', f.marks) order by f.no)
               from incoming_file f where f.mail_id = m.id), '[]') as documents,
             (select json_build_object('id', a.id, 'number', a.number, 'name', coalesce(nullif(s.name, ''), p.name), 'confidential', m.to_other)
              from application a join person p on p.id = a.person_id left join file_standing s on s.application_id = a.id
              where a.id = m.application_id and ${fileInScope("a.id", "$1")}) as file
           from incoming_mail m where ${where} order by ${order} limit ${most}`,
          [scopeParameter(scope)],
        )
      ).rows.map((r) => ({ ...r, at: r.at.toISOString() }));
    const [waiting, away] = await Promise.all([
      read("m.outcome = 'waiting'", "m.received_at, m.id", MOST),
      read("m.outcome = 'put away' and m.kind = 'written'", "m.dealt_at desc nulls last, m.id", LATELY),
    ]);
    return { waiting, away };
  },
});

/** How many wait. */
export const MAIL_WAITING = "select count(*)::int from incoming_mail where outcome = 'waiting'";

/** A file by its number, for whoever works on it. */
export const fileAt = defineView({
  name: "file-at",
  input: z.object({ number: z.string().max(40) }),
  read: async ({ pool, actor }, { number }): Promise<{ readonly applicationId: string } | null> => {
    const scope = programmesOf(actor);
    const typed = typedNumber(number);
    if (scope === null || !holds(actor, OFFICE) || typed === null) return null;
    const { rows } = await pool.query<{ applicationId: string }>(
      `select a.id as "applicationId" from application a where a.number = $1 and ${fileInScope("a.id", "$2")}`,
      [typed, scopeParameter(scope)],
    );
    return rows[0] ?? null;
  },
});

/** What hangs on a mail that is in no file yet: once it is placed, it is a document of that file. */
export const incomingDocument = defineView({
  name: "incoming-document",
  input: z.object({ mailId: z.uuid(), no: z.int().min(0).max(1000) }),
  read: async ({ pool, actor }, { mailId, no }): Promise<DocumentData | null> => {
    if (!holds(actor, OFFICE)) return null;
    const { rows } = await pool.query<DocumentData>(
      `select c.sha256, f.name, c.media_type as "mediaType", c.size from incoming_file f join incoming_mail m on m.id = f.mail_id
       join content c on c.sha256 = f.sha256 where f.mail_id = $1 and f.no = $2 and m.outcome in ('waiting', 'put away')`,
      [mailId, no],
    );
    return rows[0] ?? null;
  },
});
