import type { ChoiceRules } from "../../core/catalogue/choice-rules";
import type { IntakeInput, OfferedByProgramme, ProgrammeInput } from "../../core/catalogue/programme";
import type { ContactNote } from "../../core/contact/contact-notes";
import type { RequirementPlace } from "../../core/file/place";
import type { LocalText } from "../../core/text/local-text";
import { offeredBy } from "../../db/queries/offered";
import { REACH_NOTES } from "../contact/contact-places";
import type { MyApplication, MyDecision } from "./application-data";

/** What has happened, as far as applicants see it. */
export const SHOWN_EVENTS = [
  "join-accounts",
  "part-accounts",
  "start-application",
  "add-choice",
  "carry-over",
  "change-choice",
  "arrange-choices",
  "give-undertaking",
  "extend-choice",
  "follow-group",
  "give-back",
  "grant-adjustment",
  "move-choice",
  "move-programme",
  "suggest-move",
  "submit-application",
  "upload-document",
  "request-reference",
  "request-signature",
  "remind-signature",
  "sign-by-link",
  "decline-signature",
  "give-reference",
  "decline-reference",
  "record-payment",
  "accept-evidence",
  "return-evidence",
  "ask-applicant",
  "settle-ask",
  "announce-paper",
  "note-paper",
  "send-paper-back",
  "send-ask-list",
  "answer-ask",
  "extend-ask",
  "remind-asked",
  "tell-missing",
  "confirm-contact",
  "request-correction",
  "write-to-office",
  "write-to-applicant",
  "refuse-correction",
  "reopen-sections",
  "send-corrections",
  "ask-early-ruling",
  "end-reopening",
  "release-decision",
  "answer-decision",
  "withdraw",
  "erase-draft",
  "erase-file",
];

/** What an application shows beside the facts and their assessment. */
export interface Extras {
  uploads:
    | {
        evidence_id: string;
        requirement: string;
        scope: string;
        entry: string;
        upload_id: string;
        name: string;
        first_page: number;
        last_page: number;
        marks: string[];
        size: number;
        judged: boolean;
      }[]
    | null;
  papers: (RequirementPlace & MyApplication["documents"][number]["papers"][number])[] | null;
  charges: Omit<MyApplication["charges"][number], "whenWithdrawn">[] | null;
  asks: MyApplication["asks"] | null;
  /** Where requests to referees went and what became of them, by request. */
  requests: Readonly<
    Record<string, Pick<MyApplication["references"][number], "email" | "dueAt" | "remindedAt" | "declineReason">>
  > | null;
  signatures: { requirement: string; state: string; email: string; askedAt: string }[] | null;
  choices:
    | (Omit<MyApplication["choices"][number], "decision" | "offered"> & {
        programme: OfferedByProgramme & Pick<ProgrammeInput, "onePage">;
        options: IntakeInput["options"];
        decision: (Omit<MyDecision, "conditions"> & { conditions: { way: LocalText }[]; released: boolean }) | null;
      })[]
    | null;
  events: MyApplication["events"] | null;
  rules: ChoiceRules;
  promise: { at: string; order: string[] } | null;
  carried: MyApplication["carried"];
  reopening: MyApplication["reopening"];
  request: MyApplication["request"];
  contactNotes: ContactNote[] | null;
  granted: string[] | null;
  unread: number;
}

/** All of it in one round trip. */
export const EXTRAS = `select
  (select json_agg(json_build_object('evidence_id', e.id, 'requirement', e.requirement, 'scope', e.scope, 'entry', e.entry, 'upload_id', u.id, 'name', u.name, 'first_page', e.first_page, 'last_page', e.last_page,
     'marks', u.marks, 'size', c.size, 'judged', e.judgement is not null) order by e.supplied_at)
   from evidence e join upload u on u.id = e.upload_id join content c on c.sha256 = u.sha256 where e.application_id = $1 and e.replaced_at is null) as uploads,
  (select json_agg(json_build_object('requirement', n.requirement, 'scope', n.scope, 'entry', n.entry, 'cameOn', n.came_on, 'sentBackAt', n.sent_back_at) order by n.came_on)
   from paper n where n.application_id = $1) as papers,
  (select json_agg(json_build_object('id', c.id, 'scope', c.scope, 'item', c.item, 'minor', c.minor + coalesce((select sum(j.minor) from charge_adjustment j where j.charge_id = c.id), 0),
     'paidMinor', coalesce((select sum(p.minor) from payment p where p.charge_id = c.id and p.state = 'booked'), 0), 'currency', c.currency, 'reference', c.payment_reference,
     'last', (select p.state from payment p where p.charge_id = c.id order by p.started_at desc limit 1))) from charge c where c.application_id = $1) as charges,
  (select json_agg(json_build_object('id', a.id, 'requirement', a.requirement, 'scope', a.scope, 'entry', a.entry, 'wants', a.wants, 'text', a.text, 'due', a.due,
     'answer', a.answer, 'answeredAt', a.answered_at) order by a.answered_at nulls first, a.due, a.asked_at, a.position) from ask a
   where a.application_id = $1 and (a.answered_at is null or a.answer is not null)) as asks,
  (select json_agg(json_build_object('id', c.id, 'code', p.code, 'title', p.title, 'award', p.award, 'contact', p.contact, 'start', i.starts_on, 'submittedAt', c.submitted_at,
     'withdrawn', c.withdrawn_at is not null, 'rank', c.rank, 'round', r.key, 'campus', c.campus, 'language', c.language, 'mode', c.mode, 'track', c.track, 'otherTracks', c.other_tracks, 'tracksRanked', p.tracks_ranked, 'extendedTo', c.extended_to,
     'programme', json_build_object(${offeredBy("p")}, 'onePage', p.one_page), 'options', i.options,
     'decision', (select json_build_object('kind', d.kind, 'reason', d.reason, 'conditions', d.conditions, 'answerBy', d.answer_by, 'answer', d.answer, 'answeredAt', d.answered_at, 'released', d.released_at is not null)
       from decision d where d.choice_id = c.id)) order by c.rank)
   from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id join round r on r.id = c.round_id
   where c.application_id = $1) as choices,
  (select json_agg(json_build_object('requirement', s.requirement, 'state', s.state, 'email', s.email, 'askedAt', s.asked_at) order by s.asked_at) from signature_request s
   where s.application_id = $1 and s.state <> 'replaced') as signatures,
  (select json_object_agg(r.id, json_build_object('email', r.email, 'dueAt', r.due_at, 'remindedAt', r.reminded_at, 'declineReason', r.decline_reason)) from reference_request r where r.application_id = $1) as requests,
  (select json_build_object('text', q.text, 'askedAt', q.asked_at) from correction_request q where q.application_id = $1 and q.answered_at is null) as request,
  (select json_build_object('reason', o.reason, 'due', o.due) from reopening o where o.application_id = $1 and o.answered_at is null and o.ended_at is null) as reopening,
  (select f.rules from application a join procedure f on f.id = a.procedure_id where a.id = $1) as rules,
  (select json_build_object('at', u.at, 'order', (select json_agg(c->>'id') from jsonb_array_elements(u.choices) c)) from undertaking u
   where u.application_id = $1 order by u.at desc limit 1) as promise,
  (select ${REACH_NOTES} from application a where a.id = $1) as "contactNotes",
  (select json_agg(j.what order by j.at) from adjustment j where j.application_id = $1 and j.ended_at is null) as granted,
  (select count(*)::int from conversation c where c.application_id = $1 and c.from_office and c.read_at is null) as unread,
  (select v.about from event v where v.application_id = $1 and v.act = 'carry-over' limit 1) as carried,
  (select json_agg(json_build_object('act', v.act, 'at', v.at, 'requirement', v.about->>'requirement', 'scope', v.about->>'scope', 'entry', v.about->>'entry', 'result', v.about->>'result') order by v.id) from event v where v.application_id = $1 and v.act = any($2::text[])) as events`;
