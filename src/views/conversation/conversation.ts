import type pg from "pg";
import { z } from "zod";
import type { TextUse } from "../../core/conversation/text-uses";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { type WritingAids, writingAids } from "./writing-aids";

/** One message of a conversation. */
export interface ConversationMessage {
  readonly id: string;
  readonly fromOffice: boolean;
  readonly by: string;
  readonly text: string;
  readonly about: string;
  readonly at: string;
  readonly readAt: string | null;
  readonly answeredAt: string | null;
  readonly documents: readonly AttachedDocument[];
  /** Of one that came by mail: from where, all that was in it, and what of it could not be kept. */
  readonly mail: {
    readonly from: string;
    readonly subject: string;
    readonly text: string;
    readonly left: readonly { readonly name: string; readonly reason: string }[];
  } | null;
}

/** A document that goes with a message. */
export interface AttachedDocument {
  readonly uploadId: string;
  readonly name: string;
  readonly pages: number;
  readonly marks: readonly string[];
  /** It answers a requirement, too. */
  readonly filed: boolean;
}

/** One of them, of the row `u` of `upload`. */
export const DOCUMENT = `json_build_object('uploadId', u.id, 'name', u.name, 'pages', u.pages, 'marks', u.marks,
  'filed', exists (select 1 from evidence e where e.upload_id = u.id and e.replaced_at is null))`;

/** What somebody has chosen for the message that they are writing, in the order in which they chose it. */
async function heldBy(pool: pg.Pool, applicationId: string, personId: string): Promise<readonly AttachedDocument[]> {
  const { rows } = await pool.query<{ document: AttachedDocument }>(
    `select ${DOCUMENT} as document from attachment t join upload u on u.id = t.upload_id
     where t.application_id = $1 and t.by_id = $2 and t.conversation_id is null order by t.at, t.id`,
    [applicationId, personId],
  );
  return rows.map((r) => r.document);
}

const MOST = 500;

async function messagesOf(pool: pg.Pool, applicationId: string): Promise<readonly ConversationMessage[]> {
  const { rows } = await pool.query<
    Omit<ConversationMessage, "at" | "readAt" | "answeredAt"> & {
      at: Date;
      readAt: Date | null;
      answeredAt: Date | null;
    }
  >(
    `select c.id, c.from_office as "fromOffice", p.name as by, c.text, c.about, c.at, c.read_at as "readAt", c.answered_at as "answeredAt",
       coalesce((select json_agg(${DOCUMENT} order by t.at, t.id) from attachment t join upload u on u.id = t.upload_id where t.conversation_id = c.id), '[]') as documents,
       (select json_build_object('from', m.from_address, 'subject', m.subject, 'text', m.text, 'left', m.left_out) from incoming_mail m where m.id = c.mail_id) as mail
     from conversation c join person p on p.id = c.by_id where c.application_id = $1 order by c.at, c.id limit ${MOST}`,
    [applicationId],
  );
  return rows.map((r) => ({
    ...r,
    at: r.at.toISOString(),
    readAt: r.readAt?.toISOString() ?? null,
    answeredAt: r.answeredAt?.toISOString() ?? null,
  }));
}

export interface OwnConversation {
  readonly messages: readonly ConversationMessage[];
  /** Documents chosen for the message that is being written. */
  readonly held: readonly AttachedDocument[];
}

/** A conversation as its applicant reads it. */
export const myConversation = defineView({
  name: "my-conversation",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ pool, actor }, { number }): Promise<OwnConversation | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<{ id: string }>(
      "select id from application where number = $1 and person_id = $2",
      [number, actor.id],
    );
    const [row] = rows;
    if (!row) return null;
    const [messages, held] = await Promise.all([messagesOf(pool, row.id), heldBy(pool, row.id, actor.id)]);
    return { messages, held };
  },
});

/** The same as the office reads it, with what is needed to answer. */
export interface FileConversation extends WritingAids, OwnConversation {}

export const fileConversation = defineView({
  name: "file-conversation",
  input: z.object({ number: z.string().max(20) }),
  read: async ({ pool, actor }, { number }): Promise<FileConversation | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows } = await pool.query<{ id: string }>(
      `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    const [row] = rows;
    if (!row) return null;
    const [messages, held, aids] = await Promise.all([
      messagesOf(pool, row.id),
      actor.kind === "person" ? heldBy(pool, row.id, actor.id) : [],
      writingAids(pool, actor, row.id),
    ]);
    return aids && { messages, held, ...aids };
  },
});

export interface OfficeText {
  readonly id: string;
  readonly name: string;
  readonly en: string;
  readonly fr: string;
  readonly uses: readonly TextUse[];
  readonly version: number;
  readonly by: string;
  readonly at: string;
}

/** The texts that officers write often, for those who read them and those who keep them. */
export const officeTexts = defineView({
  name: "office-texts",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly OfficeText[] | null> => {
    if (programmesOf(actor) === null) return null;
    const { rows } = await pool.query<Omit<OfficeText, "at"> & { at: Date }>(
      "select t.id, t.name, t.en, t.fr, t.uses, t.version, p.name as by, t.at from office_text t join person p on p.id = t.by_id order by lower(t.name)",
    );
    return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
  },
});
