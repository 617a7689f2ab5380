import type pg from "pg";
import { inFileOrder } from "../../core/answers/with-answers";
import type { AnswerFact, ConfirmationFact, FileFacts, Round } from "../../core/file/facts";
import type { LoadedFile } from "../../core/file/loaded-file";
import type { Rulebook } from "../../core/rulebook/rulebook";
import { roundWaits } from "./round-waits";

type Queryable = Pick<pg.Pool, "query"> | Pick<pg.PoolClient, "query">;

const ISO = `'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'`;
const iso = (column: string) => `to_char(${column} at time zone 'UTC', ${ISO})`;
const list = (object: string, from: string, order: string) =>
  `coalesce((select json_agg(${object} order by ${order}) from ${from}), '[]'::json)`;

/** Rows by columns: answers and confirmations are most of a file, and as rows they take twice the time to write and to read. */
type Columns<Row, Names extends readonly (keyof Row)[]> = {
  readonly [I in keyof Names]: Names[I] extends keyof Row ? readonly Row[Names[I]][] : never;
};
const byColumns = (names: readonly string[], from: string) =>
  `(select json_build_array(${names.map((name) => `coalesce(json_agg(y.${name}), '[]'::json)`).join(", ")}) from ${from} y)`;

const ANSWER = ["scope", "section", "entry", "field", "value", "version", "position", "dormant"] as const;
type StoredAnswer = AnswerFact & { readonly dormant: boolean };
type AnswerColumns = Columns<StoredAnswer, typeof ANSWER>;

/** The answers that are awake, and those that are kept aside; put in order here, which costs a third of what it costs in the statement. */
function readAnswers([scope, section, entry, field, value, version, position, dormant]: AnswerColumns) {
  const awake: AnswerFact[] = [];
  const asleep: AnswerFact[] = [];
  for (let i = 0; i < scope.length; i += 1)
    (dormant[i] ? asleep : awake).push({
      scope: scope[i] ?? "",
      section: section[i] ?? "",
      entry: entry[i] ?? "",
      field: field[i] ?? "",
      value: value[i] ?? null,
      version: version[i] ?? 0,
      position: position[i] ?? 0,
    });
  return { awake: inFileOrder(awake), asleep: inFileOrder(asleep) };
}

const CONFIRMATION = ["scope", "section", "entry", "field", "value", "at", "answerVersion"] as const;
type ConfirmationColumns = Columns<ConfirmationFact, typeof CONFIRMATION>;

const readConfirmations = ([scope, section, entry, field, value, at, version]: ConfirmationColumns) =>
  at.map(
    (own, i): ConfirmationFact => ({
      scope: scope[i] ?? "",
      section: section[i] ?? "",
      entry: entry[i] ?? "",
      field: field[i] ?? "",
      value: value[i] ?? null,
      at: own,
      answerVersion: version[i] ?? 0,
    }),
  );

/** Everything that belongs to one file, in one statement and so one round trip. */
const FACTS = `
select json_build_object(
  'application', json_build_object('id', a.id, 'number', a.number, 'createdAt', ${iso("a.created_at")},
    'withdrawnAt', ${iso("a.withdrawn_at")}, 'groupSinceSubmission', a.group_since_submission),
  'choices', ${list(
    `json_build_object('id', c.id, 'rank', c.rank, 'rulebookId', c.rulebook_id, 'roundId', c.round_id, 'programme', p.code, 'language', c.language, 'start', i.starts_on,
      'campus', c.campus, 'mode', c.mode, 'track', c.track, 'otherTracks', c.other_tracks, 'extendedTo', ${iso("c.extended_to")},
      'submittedAt', ${iso("c.submitted_at")}, 'withdrawnAt', ${iso("c.withdrawn_at")}, 'completeAt', ${iso("c.complete_at")},
      'decision', (select json_build_object('kind', d.kind, 'preparedAt', ${iso("d.prepared_at")}, 'preparedBy', d.prepared_by_id, 'releasedAt', ${iso("d.released_at")},
        'answerBy', d.answer_by, 'answer', d.answer, 'answeredAt', ${iso("d.answered_at")}) from decision d where d.choice_id = c.id))`,
    "choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.application_id = a.id",
    "c.rank",
  )},
  'evidence', ${list(
    `json_build_object('id', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'suppliedAt', ${iso("x.supplied_at")}, 'judgement', x.judgement,
      'judgedAt', ${iso("x.judged_at")}, 'reason', x.reason, 'proof', x.proof)`,
    "evidence x where x.application_id = a.id and x.replaced_at is null",
    "x.supplied_at, x.id",
  )},
  'excuses', ${list(`json_build_object('requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'at', ${iso("x.at")})`, "excuse x where x.application_id = a.id", "x.at")},
  'overrides', ${list(`json_build_object('choice', x.choice_id, 'rule', x.rule, 'finding', x.finding)`, "override x where x.application_id = a.id and x.ended_at is null", "x.at")},
  'rulings', ${list(
    `json_build_object('question', r.question, 'scope', x.scope, 'section', x.section, 'entry', x.entry, 'verdict', r.verdict, 'equalTo', r.equal_to, 'limits', r.limits, 'about', x.about)`,
    "applied_ruling x join ruling r on r.id = x.ruling_id where x.application_id = a.id and x.ended_at is null",
    "x.at, x.id",
  )},
  'earlyCases', ${list(`json_build_object('question', x.question, 'scope', x.scope, 'section', x.section, 'entry', x.entry, 'askedAt', ${iso("x.asked_at")})`, "early_case x where x.application_id = a.id", "x.asked_at")},
  'references', ${list(
    `json_build_object('id', x.id, 'referee', x.referee, 'scopes', x.scopes, 'state', x.state, 'askedAt', ${iso("x.asked_at")}, 'givenAt', ${iso("x.given_at")}, 'judgement', x.judgement)`,
    "reference_request x where x.application_id = a.id",
    "x.asked_at, x.id",
  )},
  'announced', ${list("json_build_object('requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'way', x.way, 'expectedOn', x.expected_on)", "announced_paper x where x.application_id = a.id and x.ended_at is null", "x.announced_at, x.id")},
  'papers', ${list(`json_build_object('id', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'notedAt', ${iso("x.noted_at")})`, "paper x where x.application_id = a.id and x.inspected_at is null", "x.noted_at, x.id")},
  'tasks', ${list("json_build_object('id', x.id, 'title', x.title, 'due', x.due)", "task x where x.application_id = a.id and x.done_at is null", "x.due, x.at")},
  'deeds', ${list(`json_build_object('requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'at', ${iso("x.at")})`, "deed x where x.application_id = a.id", "x.at")},
  'registryMisses', coalesce((select json_agg(l.entry) from (select distinct on (q.entry) q.entry, q.state from registry_query q
    where q.application_id = a.id order by q.entry, q.asked_at desc, q.id) l where l.state in ('not found', 'other name')), '[]'::json),
  'registryChanges', ${list(`json_build_object('section', x.section, 'entry', x.entry, 'at', ${iso("x.answered_at")})`, "registry_query x where x.application_id = a.id and x.state = 'changed'", "x.answered_at, x.id")},
  'issued', ${list("json_build_object('scope', x.scope, 'section', x.section, 'entry', x.entry)", "owner_result x where x.application_id = a.id and x.state = 'found'", "x.id")},
  'signatures', ${list(
    `json_build_object('requirement', x.requirement, 'askedAt', ${iso("x.asked_at")})`,
    "signature_request x where x.application_id = a.id and x.state = 'asked'",
    "x.asked_at, x.id",
  )},
  'charges', ${list(
    `json_build_object('id', x.id, 'item', x.item, 'scope', x.scope, 'currency', x.currency,
      'minor', x.minor + coalesce((select sum(j.minor) from charge_adjustment j where j.charge_id = x.id), 0),
      'paidMinor', coalesce((select sum(y.minor) from payment y where y.charge_id = x.id and y.state = 'booked'), 0),
      'paidAt', (select ${iso("max(y.settled_at)")} from payment y where y.charge_id = x.id and y.state = 'booked' and y.minor > 0),
      'announcedAt', null)`,
    "charge x where x.application_id = a.id",
    "x.made_at, x.id",
  )},
  'asks', ${list(
    `json_build_object('id', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'askedAt', ${iso("x.asked_at")}, 'due', x.due, 'wants', x.wants, 'answeredAt', ${iso("x.answered_at")},
      'inWords', x.answer is not null, 'readAt', ${iso("x.read_at")})`,
    "ask x where x.application_id = a.id",
    "x.asked_at, x.position",
  )},
  'reopenings', ${list(
    `json_build_object('id', x.id, 'sections', x.sections, 'openedAt', ${iso("x.opened_at")}, 'due', x.due, 'answeredAt', ${iso("x.answered_at")}, 'readAt', ${iso("x.read_at")})`,
    "reopening x where x.application_id = a.id and x.ended_at is null",
    "x.opened_at, x.id",
  )},
  'correctionRequests', ${list(
    `json_build_object('id', x.id, 'askedAt', ${iso("x.asked_at")})`,
    "correction_request x where x.application_id = a.id and x.answered_at is null",
    "x.asked_at, x.id",
  )},
  'unanswered', ${list(
    `json_build_object('id', x.id, 'at', ${iso("x.at")})`,
    "conversation x where x.application_id = a.id and not x.from_office and x.answered_at is null",
    "x.at, x.id",
  )},
  'returnedMails', ${list(
    `json_build_object('id', x.id, 'at', ${iso("x.failing_since")})`,
    `message x where x.application_id = a.id and x.refused and x.dealt_at is null and x.person_id = a.person_id
      and x.to_address = (select p.email from person p where p.id = a.person_id)`,
    "x.failing_since, x.id",
  )},
  'turns', ${list(`json_build_object('turn', x.turn, 'from', ${iso("x.at")})`, "turn_change x where x.application_id = a.id", "x.at")}
) as facts,
${byColumns(ANSWER, "(select * from answer x where x.application_id = a.id)")} as answers,
${byColumns(
  CONFIRMATION.map((name) => `"${name}"`),
  `(select c.scope, c.section, c.entry, c.field, c.value, ${iso("c.at")} as at, c.answer_version as "answerVersion"
    from confirmation c where c.application_id = a.id order by c.section, c.entry, c.field)`,
)} as confirmations,
coalesce((select json_agg(json_build_object('id', r.id, 'opensAt', ${iso("r.opens_at")}, 'closings', r.closings, 'closedAt', ${iso("r.closed_at")}, 'waits', ${roundWaits("r")}, 'promiseDays', r.promise_days))
  from round r where r.id in (select round_id from choice where application_id = a.id)), '[]'::json) as rounds,
coalesce((select json_agg(distinct c.rulebook_id) from choice c where c.application_id = a.id), '[]'::json) as rulebooks
from application a where `;

/**
 * One file and many have statements of their own, each planned once a connection: with one id PostgreSQL sees that the plan for any
 * id is as good as the one for this id, with an array of ids it would plan the long statement anew each time.
 */
const ONE = { name: "load-file", text: `${FACTS} a.id = $1::uuid` };
const MANY = { name: "load-files", text: `${FACTS} a.id = any($1::uuid[])` };

interface Row {
  readonly facts: Omit<FileFacts, "answers" | "confirmations">;
  readonly answers: AnswerColumns;
  readonly confirmations: ConfirmationColumns;
  readonly rounds: readonly Round[];
  readonly rulebooks: readonly string[];
}

const published = new Map<string, Rulebook>();

/** Rulebooks by id. Published and superseded ones never change, so each is read once a process. */
export async function rulebooksById(client: Queryable, ids: readonly string[]): Promise<Record<string, Rulebook>> {
  const lacking = ids.filter((id) => !published.has(id));
  if (lacking.length > 0) {
    const { rows } = await client.query<Rulebook & { status: string }>(
      "select id, version, body, status from rulebook where id = any($1::uuid[])",
      [lacking],
    );
    for (const { id, version, body, status } of rows) if (status !== "draft") published.set(id, { id, version, body });
  }
  return Object.fromEntries(
    ids.flatMap((id) => {
      const rulebook = published.get(id);
      return rulebook ? [[id, rulebook]] : [];
    }),
  );
}

async function loadedFrom(client: Queryable, rows: readonly Row[]): Promise<readonly LoadedFile[]> {
  const rulebooks = await rulebooksById(client, [...new Set(rows.flatMap((r) => r.rulebooks))]);
  return rows.map((row) => {
    const { awake, asleep } = readAnswers(row.answers);
    return {
      facts: { ...row.facts, answers: awake, confirmations: readConfirmations(row.confirmations) },
      asleep,
      rulebooks: Object.fromEntries(row.rulebooks.flatMap((id) => (rulebooks[id] ? [[id, rulebooks[id]]] : []))),
      rounds: Object.fromEntries(row.rounds.map((r) => [r.id, r])),
    };
  });
}

/** Loads files by id; an id that does not exist is left out. */
export async function loadFiles(client: Queryable, ids: readonly string[]): Promise<readonly LoadedFile[]> {
  const { rows } = await client.query<Row>({ ...MANY, values: [ids] });
  return loadedFrom(client, rows);
}

export async function loadFile(client: Queryable, id: string): Promise<LoadedFile | null> {
  const { rows } = await client.query<Row>({ ...ONE, values: [id] });
  return (await loadedFrom(client, rows))[0] ?? null;
}
