import { z } from "zod";
import type { Json } from "../../core/file/facts";
import { defineView } from "../view/view";

/** Everything that is kept of a person, for that person: rows by what they are about, and the documents that they sent. */
export interface OwnData {
  readonly takenAt: string;
  readonly about: Readonly<Record<string, readonly Json[]>>;
  readonly documents: readonly { readonly sha256: string; readonly path: string }[];
}

const OWN = "select id from application where person_id = $1";

/**
 * What is read, each by a statement with the person as $1. A referee's words are the office's alone, and so are what was judged of them and who
 * works on a file; keys of links are secrets and no data.
 */
export const SUBJECTS: Readonly<Record<string, string>> = {
  person: "select name, email, locale, created_at, confirmed_at from person where id = $1",
  consents: "select text_key, text_version, at from consent where person_id = $1",
  applications: "select number, created_at, withdrawn_at from application where person_id = $1 order by number",
  choices: `select a.number, p.code, p.title, i.starts_on, c.rank, c.campus, c.mode, c.added_at, c.submitted_at, c.withdrawn_at
    from choice c join application a on a.id = c.application_id join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
    where a.person_id = $1 order by a.number, c.rank`,
  answers: `select a.number, w.scope, w.section, w.entry, w.field, w.value, w.saved_at from answer w join application a on a.id = w.application_id
    where a.person_id = $1 order by a.number, w.section, w.entry, w.field`,
  earlierAnswers: `select a.number, to_jsonb(v) - 'application_id' - 'saved_by' as answer from answer_version v join application a on a.id = v.application_id
    where a.person_id = $1 order by a.number`,
  submissions: `select a.number, s.no, s.at from submission s join application a on a.id = s.application_id where a.person_id = $1 order by a.number, s.no`,
  documents: `select a.number, e.requirement, u.name, u.pages, u.uploaded_at, e.judgement, e.judged_at, e.reason from evidence e join upload u on u.id = e.upload_id
    join application a on a.id = e.application_id where a.person_id = $1 and u.uploaded_by = 'person:' || $1::text order by a.number, u.uploaded_at`,
  announcedPapers: `select a.number, n.requirement, n.way, n.expected_on::text, n.announced_at, n.ended_at from announced_paper n
    join application a on a.id = n.application_id where a.person_id = $1 order by n.announced_at`,
  papers: `select a.number, w.requirement, w.contents, w.sender, w.state, w.came_on::text, w.inspected_at, w.sent_back_at from paper w
    join application a on a.id = w.application_id where a.person_id = $1 order by w.noted_at`,
  adjustments: `select a.number, x.what, x.why, x.ended_at from adjustment x join application a on a.id = x.application_id where a.person_id = $1 order by 1`,
  undertakings: `select a.number, x.text, x.locale, x.at from undertaking x join application a on a.id = x.application_id where a.person_id = $1 order by x.at`,
  signatures: `select a.number, x.name, x.email, x.state, x.asked_at, x.answered_at, x.signed_as from signature_request x join application a on a.id = x.application_id where a.person_id = $1 order by x.asked_at`,
  confirmed: `select a.number, x.scope, x.section, x.entry, x.field, x.value, x.at from confirmation x join application a on a.id = x.application_id where a.person_id = $1 order by x.at`,
  corrections: `select a.number, x.sections, x.text, x.asked_at, x.answered_at, x.refusal from correction_request x join application a on a.id = x.application_id where a.person_id = $1 order by x.asked_at`,
  opened: `select a.number, x.sections, x.reason, x.due::text, x.opened_at, x.answered_at, x.ended_at from reopening x join application a on a.id = x.application_id where a.person_id = $1 order by x.opened_at`,
  excused: `select a.number, x.requirement, x.reason from excuse x join application a on a.id = x.application_id where a.person_id = $1 order by 1, 2`,
  testResults: `select a.number, x.test, x.number as "report", x.name, x.taken_on::text, x.scores from owner_result x join application a on a.id = x.application_id where a.person_id = $1 order by x.taken_on`,
  references: `select a.number, r.name, r.email, r.state, r.asked_at, r.closed_at from reference_request r join application a on a.id = r.application_id
    where a.person_id = $1 order by a.number, r.asked_at`,
  charges: `select a.number, c.item, c.minor, c.currency, c.payment_reference, c.made_at from charge c join application a on a.id = c.application_id
    where a.person_id = $1 order by a.number`,
  payments: `select a.number, p.minor, p.currency, p.state, p.started_at, p.settled_at from payment p join charge c on c.id = p.charge_id
    join application a on a.id = c.application_id where a.person_id = $1 order by p.started_at`,
  decisions: `select a.number, p.code, d.kind, d.reason, d.conditions, d.released_at, d.answer_by, d.answer, d.answered_at from decision d join choice c on c.id = d.choice_id
    join application a on a.id = c.application_id join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id
    where a.person_id = $1 and d.released_at is not null order by d.released_at`,
  asks: `select a.number, k.text, k.due, k.asked_at, k.answered_at, k.answer from ask k join application a on a.id = k.application_id where a.person_id = $1 order by k.asked_at`,
  conversation: `select a.number, c.from_office, c.text, c.at, c.read_at from conversation c join application a on a.id = c.application_id
    where a.person_id = $1 order by c.at`,
  attachments: `select a.number, u.name, x.at from attachment x join upload u on u.id = x.upload_id join application a on a.id = x.application_id
    where a.person_id = $1 and x.conversation_id is not null order by x.at`,
  mailsIn: `select a.number, m.from_address, m.subject, m.written, m.received_at from incoming_mail m join application a on a.id = m.application_id
    where a.person_id = $1 and m.outcome = 'message' order by m.received_at`,
  addressChanges: `select before::text, after::text, reason, at from address_change where person_id = $1 order by at`,
  mails: `select to_address, template, values - 'link' as values, queued_at, sent_at from message where person_id = $1 order by queued_at`,
  history: `select a.number, e.at, e.act from event e join application a on a.id = e.application_id where a.person_id = $1 and e.actor = 'person:' || $1::text order by e.id`,
  signIns: "select at, kind, network from access_record where person_id = $1 order by id",
};

/** A name for a file in an archive that every system takes. */
const inArchive = (name: string): string => name.replace(/[^\p{L}\p{N} ._-]/gu, "").trim() || "document";

export const ownData = defineView({
  name: "own-data",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<OwnData | null> => {
    if (actor.kind !== "person") return null;
    const about: Record<string, readonly Json[]> = {};
    for (const [subject, statement] of Object.entries(SUBJECTS))
      about[subject] = (await pool.query<Record<string, Json>>(statement, [actor.id])).rows;
    const { rows } = await pool.query<{ sha256: string; number: string; name: string }>(
      `select coalesce(u.original_sha256, u.sha256) as sha256, a.number, u.name from upload u join application a on a.id = u.application_id
       where u.application_id in (${OWN}) and u.uploaded_by = 'person:' || $1::text order by u.uploaded_at`,
      [actor.id],
    );
    return {
      takenAt: now.toISOString(),
      about,
      documents: rows.map(({ sha256, number, name }, at) => ({
        sha256,
        path: `${number}/${at + 1} ${inArchive(name)}`,
      })),
    };
  },
});
