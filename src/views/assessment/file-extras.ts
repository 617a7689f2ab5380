import type { Json } from "../../core/file/facts";
import type { PlainDate } from "../../core/ids";
import type { Locale } from "../../core/text/local-text";
import { offeredBy } from "../../db/queries/offered";
import type { PlannedChoice } from "../application/choice-offer";
import { REACH_NOTES } from "../contact/contact-places";
import type { FileReference } from "../references/file-reference";
import type { FileData, FileDocument, FileEvent, FileReopening } from "./file-data";

interface ValueKey {
  scope: string;
  section: string;
  entry: string;
  field: string;
}

/** What the file's page shows beside the facts and their assessment. */
export interface Extras {
  name: string;
  email: string;
  lastSignIn: string | null;
  writesIn: Locale;
  officer:
    | (Omit<NonNullable<FileData["officer"]>, "cover"> & {
        absences: { readonly cover: string; readonly from: PlainDate; readonly until: PlainDate }[];
      })
    | null;
  choices: (Omit<FileData["choices"][number], "offered" | "may"> & PlannedChoice)[];
  reopenings: FileReopening[];
  request: FileData["request"];
  documents: FileDocument[];
  references: FileReference[];
  charges: FileData["charges"];
  asks: FileData["asks"];
  undertaking: FileData["undertaking"];
  linkNotes: FileData["linkNotes"];
  adjustments: FileData["adjustments"];
  announced: FileData["announced"];
  papers: FileData["papers"];
  tasks: FileData["tasks"];
  deeds: FileData["deeds"];
  summaries: FileData["summaries"];
  contactNotes: FileData["contactNotes"];
  keeperNotes: (ValueKey & { version: number; text: string; by: string; at: string })[];
  valueNotes: (ValueKey & { version: number; text: string; by: string; at: string })[];
  /** All but the last word on a value, the newest first. */
  formerValues: (ValueKey & { value: Json; text: string; by: string; at: string })[];
  carried: (ValueKey & { number: string })[];
  signatures: FileData["signatures"];
  registry: FileData["registry"];
  overrides: FileData["overrides"];
  events: FileEvent[];
}

const rowsOf = (object: string, from: string) => `coalesce((select json_agg(${object}) from (${from}) x), '[]'::json)`;

/** Everything else that the file's page shows, in one round trip. Names of people are joined in at reading; events hold ids. */
export const EXTRAS = `select n.name as name, p.email, p.locale as "writesIn",
  to_json((select r.at from access_record r where r.person_id = p.id and r.kind = 'signed in' order by r.id desc limit 1)) as "lastSignIn",
  (select json_build_object('id', o.id, 'name', o.name, 'absences', ${rowsOf(
    "json_build_object('cover', x.name, 'from', x.from_on, 'until', x.until_on)",
    "select c.name, b.from_on, b.until_on from absence b join person c on c.id = b.cover_id where b.person_id = o.id",
  )}) from person o where o.id = a.officer_id) as officer,
  ${rowsOf(
    `json_build_object('id', x.id, 'code', x.code, 'title', x.title, 'award', x.award, 'start', x.starts_on, 'round', x.round, 'rolling', x.rolling, 'campus', x.campus, 'language', x.language, 'mode', x.mode,
      'track', (select t->'title' from jsonb_array_elements(x.tracks) t where t->>'key' = x.track),
      'otherTracks', (select coalesce(json_agg(t->'title' order by o.n), '[]') from jsonb_array_elements_text(x.other_tracks) with ordinality o(key, n) join jsonb_array_elements(x.tracks) t on t->>'key' = o.key), 'extendedTo', x.extended_to, 'submittedAt', x.submitted_at, 'withdrawnAt', x.withdrawn_at,
      'rulebook', json_build_object('id', x.rulebook_id, 'version', x.version),
      'plan', json_build_object(${offeredBy("x")}, 'options', x.options, 'track', x.track),
      'newest', (select json_build_object('id', n.id, 'version', n.version) from rulebook n where n.intake_id = x.intake_id and n.status = 'published'), 'decision', x.decision)`,
    `select c.id, g.code, g.title, g.award, g.tracks, g.campuses, g.languages, g.modes, i.options, i.starts_on, r.key as round, r.rolling, c.campus, c.language, c.mode, c.track, c.other_tracks, c.extended_to, c.submitted_at, c.withdrawn_at, c.rulebook_id, c.intake_id, b.version, (select json_build_object('kind', d.kind, 'reason', d.reason, 'note', d.note, 'conditions', d.conditions,
       'preparedBy', (select name from person where id = d.prepared_by_id), 'preparedById', d.prepared_by_id, 'preparedAt', d.prepared_at, 'releasedBy', (select name from person where id = d.released_by_id),
       'releasedAt', d.released_at, 'answerBy', d.answer_by, 'answer', d.answer) from decision d where d.choice_id = c.id) as decision
     from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id join round r on r.id = c.round_id join rulebook b on b.id = c.rulebook_id
     where c.application_id = a.id order by c.rank`,
  )} as choices,
  ${rowsOf(
    `json_build_object('id', x.id, 'sections', x.sections, 'reason', x.reason, 'due', x.due, 'openedAt', x.opened_at, 'by', x.name, 'answeredAt', x.answered_at, 'readAt', x.read_at)`,
    "select o.*, w.name from reopening o join person w on w.id = o.opened_by_id where o.application_id = a.id and o.ended_at is null order by o.opened_at",
  )} as reopenings,
  (select json_build_object('sections', q.sections, 'text', q.text, 'askedAt', q.asked_at) from correction_request q
   where q.application_id = a.id and q.answered_at is null) as request,
  ${rowsOf(
    `json_build_object('evidenceId', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'uploadId', x.upload_id, 'name', x.name, 'firstPage', x.first_page, 'lastPage', x.last_page, 'partOf', x.part_of, 'joinedOf', x.joined_of, 'mediaType', x.media_type, 'marks', x.marks,
      'suppliedAt', x.supplied_at, 'replacedAt', x.replaced_at, 'judgement', x.judgement, 'reason', x.reason, 'proof', x.proof, 'alsoIn', x.also, 'twice', x.twice, 'leftOut', x.left_out)`,
    `select e.*, u.name, u.marks, c.media_type, coalesce((select array_agg(distinct f.number) from upload y join application f on f.id = y.application_id where y.sha256 = u.sha256 and y.application_id <> a.id), '{}') as also,
       coalesce((select array_agg(distinct t.requirement) from evidence t join upload y on y.id = t.upload_id where t.application_id = a.id and y.sha256 = u.sha256
         and t.id <> e.id and t.first_page <= e.last_page and t.last_page >= e.first_page and t.replaced_at is null), '{}') as twice,
       coalesce((select array_agg(w.name order by j.supplied_at, w.name) from evidence j join upload w on w.id = j.upload_id where j.joined_into = e.id), '{}') as joined_of,
       coalesce((select array_agg(l.page order by l.page) from page_left_out l where l.upload_id = u.id), '{}') as left_out
     from evidence e join upload u on u.id = e.upload_id join content c on c.sha256 = u.sha256 where e.application_id = a.id order by e.supplied_at`,
  )} as documents,
  ${rowsOf(
    `json_build_object('id', x.id, 'name', x.name, 'email', x.email, 'state', x.state, 'askedAt', x.asked_at, 'dueAt', x.due_at, 'endsAt', x.ends_at, 'openedAt', x.opened_at, 'begun', x.draft is not null,
      'remindedAt', x.reminded_at, 'reminders', x.reminders, 'moreUntil', x.more_until, 'moreWords', coalesce(x.more_words, ''), 'declineReason', x.decline_reason,
      'declineWords', coalesce(x.decline_words, ''), 'takenBy', x.taken_by, 'givenAt', x.given_at, 'answers', x.answers, 'uploadId', x.upload_id, 'judgement', x.judgement)`,
    "select r.*, (select w.name from person w where w.id = r.taken_by_id) as taken_by from reference_request r where r.application_id = a.id order by r.asked_at",
  )} as references,
  ${rowsOf(
    `json_build_object('scope', x.scope, 'section', x.section, 'entry', x.entry, 'field', x.field, 'url', x.url, 'opens', x.opens, 'copy', case when x.copy_sha256 is not null then json_build_object('sha256', x.copy_sha256, 'name', x.copy_name, 'at', x.copied_at) end, 'by', x.name, 'at', x.at)`,
    "select l.*, w.name from link_note l join person w on w.id = l.by_id where l.application_id = a.id",
  )} as "linkNotes",
  ${rowsOf(
    `json_build_object('requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'note', x.note, 'by', x.name, 'at', x.at)`,
    "select d.*, w.name from deed d join person w on w.id = d.by_id where d.application_id = a.id",
  )} as deeds,
  ${rowsOf(
    `json_build_object('id', x.id, 'section', x.section, 'title', x.title, 'due', x.due, 'by', x.name, 'at', x.at,
      'done', case when x.done_at is not null then json_build_object('by', x.done_by, 'at', x.done_at, 'outcome', x.outcome) end)`,
    `select k.*, w.name, d.name as done_by from task k join person w on w.id = k.by_id left join person d on d.id = k.done_by_id
     where k.application_id = a.id order by k.done_at is not null, k.due, k.at`,
  )} as tasks,
  ${rowsOf(
    `json_build_object('id', x.id, 'what', x.what, 'why', x.why, 'by', x.name, 'at', x.at)`,
    "select k.*, w.name from adjustment k join person w on w.id = k.by_id where k.application_id = a.id and k.ended_at is null order by k.at",
  )} as adjustments,
  ${rowsOf(
    `json_build_object('scope', x.scope, 'section', x.section, 'text', x.text, 'by', x.name, 'at', x.at)`,
    "select d.*, w.name from section_summary d join person w on w.id = d.by_id where d.application_id = a.id",
  )} as summaries,
  ${REACH_NOTES} as "contactNotes",
  ${rowsOf(
    `json_build_object('scope', x.scope, 'section', x.section, 'entry', x.entry, 'field', x.field, 'version', x.version, 'text', x.text, 'by', x.name, 'at', x.at)`,
    "select k.*, w.name from keeper_note k join person w on w.id = k.by_id where k.application_id = a.id",
  )} as "keeperNotes",
  ${rowsOf(
    `json_build_object('scope', x.scope, 'section', x.section, 'entry', x.entry, 'field', x.field, 'version', x.answer_version, 'text', x.note, 'by', x.name, 'at', x.at)`,
    "select k.*, coalesce(w.name, 'by itself') as name from confirmation k left join person w on w.id = k.by_id where k.application_id = a.id and k.note <> ''",
  )} as "valueNotes",
  ${rowsOf(
    `json_build_object('scope', x.scope, 'section', x.section, 'entry', x.entry, 'field', x.field, 'value', x.value, 'text', coalesce(x.note, ''), 'by', x.name, 'at', x.at)`,
    `select v.*, coalesce(w.name, 'by itself') as name from confirmation_version v left join person w on w.id = v.by_id where v.application_id = a.id and exists (
       select 1 from confirmation_version n where (n.application_id, n.section, n.entry, n.field, n.scope) = (v.application_id, v.section, v.entry, v.field, v.scope) and n.id > v.id)
     order by v.id desc`,
  )} as "formerValues",
  ${rowsOf(
    `json_build_object('scope', x.scope, 'section', x.section, 'entry', x.entry, 'field', x.field, 'number', x.number)`,
    `select v.scope, v.section, v.entry, v.field, o.number from answer v join answer_version y on (y.application_id, y.scope, y.section, y.entry, y.field, y.version)
       = (v.application_id, v.scope, v.section, v.entry, v.field, v.version) join application o on y.saved_by = 'application:' || o.id::text where v.application_id = a.id`,
  )} as carried,
  ${rowsOf(
    `json_build_object('requirement', x.requirement, 'name', x.name, 'email', x.email, 'state', x.state, 'askedAt', x.asked_at, 'answeredAt', x.answered_at, 'signedAs', x.signed_as)`,
    "select * from signature_request r where r.application_id = a.id and r.state <> 'replaced' order by r.asked_at",
  )} as signatures,
  (select json_build_object('at', u.at, 'text', u.text, 'choices', u.choices) from undertaking u
   where u.application_id = a.id order by u.at desc limit 1) as undertaking,
  ${rowsOf(
    `json_build_object('id', x.id, 'item', x.item, 'scope', x.scope, 'minor', x.total, 'paidMinor', x.paid, 'paidAt', x.paid_at, 'currency', x.currency, 'reference', x.payment_reference)`,
    `select c.*, c.minor + coalesce((select sum(j.minor) from charge_adjustment j where j.charge_id = c.id), 0) as total,
       coalesce((select sum(y.minor) from payment y where y.charge_id = c.id and y.state = 'booked'), 0) as paid,
       (select max(y.settled_at) from payment y where y.charge_id = c.id and y.state = 'booked' and y.minor > 0) as paid_at from charge c where c.application_id = a.id order by c.made_at`,
  )} as charges,
  ${rowsOf(
    `json_build_object('id', x.id, 'letter', x.letter, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'wants', x.wants, 'text', x.text, 'due', x.due,
      'askedAt', x.asked_at, 'by', x.by, 'reminders', x.reminders, 'answeredAt', x.answered_at, 'answer', x.answer, 'readAt', x.read_at)`,
    "select k.*, w.name as by from ask k join person w on w.id = k.by_id where k.application_id = a.id order by k.asked_at, k.position",
  )} as asks,
  ${rowsOf(
    "json_build_object('requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'way', x.way, 'expectedOn', x.expected_on)",
    "select * from announced_paper n where n.application_id = a.id and n.ended_at is null order by n.expected_on",
  )} as announced,
  ${rowsOf(
    `json_build_object('id', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'contents', x.contents, 'sender', x.sender, 'state', x.state, 'cameOn', x.came_on,
      'by', x.by, 'inspectedAt', x.inspected_at, 'toGoBackAt', x.to_go_back_at, 'sentBackAt', x.sent_back_at)`,
    "select n.*, w.name as by from paper n join person w on w.id = n.noted_by_id where n.application_id = a.id order by n.noted_at desc, n.id",
  )} as papers,
  ${rowsOf(
    `json_build_object('id', x.id, 'entry', x.entry, 'state', x.state, 'candidate', x.candidate, 'year', x.year, 'since', x.since, 'askedAt', x.asked_at, 'by', x.by, 'answeredAt', x.answered_at,
      'name', x.name, 'results', x.results, 'others', case when x.state in ('found', 'changed') then x.others else '[]' end)`,
    "select q.*, coalesce(w.name, 'by itself') as by from registry_query q left join person w on w.id = q.by_id where q.application_id = a.id order by q.asked_at desc, q.id",
  )} as registry,
  ${rowsOf(
    `json_build_object('choice', x.choice_id, 'rule', x.rule, 'finding', x.finding, 'worked', x.worked, 'reason', x.reason, 'by', x.name, 'at', x.at,
      'ended', case when x.ended_at is not null then json_build_object('at', x.ended_at, 'by', x.ended_by, 'reason', x.end_reason) end)`,
    "select o.*, w.name, (select name from person where id = o.ended_by_id) as ended_by from override o join person w on w.id = o.by_id where o.application_id = a.id order by o.at",
  )} as overrides,
  ${rowsOf(
    `json_build_object('id', x.id, 'at', x.at, 'act', x.act, 'who', x.who, 'about', x.about)`,
    `select v.id, v.at, v.act, v.about, case when v.actor like 'person:%' then (select name from person where id = substr(v.actor, 8)::uuid)
       when v.actor like 'link:%' then coalesce((select name from reference_request where id = substr(v.actor, 6)::uuid), (select name from signature_request where id = substr(v.actor, 6)::uuid)) else v.actor end as who
     from event v where v.application_id = a.id order by v.id desc limit 500`,
  )} as events
from application a join person p on p.id = a.person_id join file_standing n on n.application_id = a.id where a.id = $1`;
