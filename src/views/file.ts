import { z } from "zod";
import { assess } from "../core/assessment/assess";
import { contexts } from "../core/assessment/context";
import type { Json } from "../core/assessment/facts";
import type { Assessment } from "../core/assessment/result";
import { unconfirmed } from "../core/assessment/steps";
import type { ReferenceSet } from "../core/office/reference-set";
import { planOf } from "../core/rulebook/plan";
import { type Field, factName, type Section } from "../core/sections/definition";
import { reopenable } from "../core/sections/reopening";
import { AnswerIndex } from "../core/sections/typed-facts";
import type { LocalText } from "../core/text/local-text";
import { type LoadedFile, loadFile } from "../db/load-file";
import { type ChoiceOffer, choiceOffer, type PlannedChoice } from "./choice-offer";
import { officeNow } from "./office-now";
import { fileInScope, programmesOf, scopeParameter } from "./scope";
import { defineView, type ViewContext } from "./view";

/** A claimed value beside what the office confirmed. */
export interface ClaimedValue {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
  readonly field: string;
  readonly title: LocalText;
  readonly kind: Field["kind"];
  readonly options: Field["options"];
  readonly claim: Json;
  readonly confirmed: Json;
  readonly state: "claimed" | "confirmed" | "changed" | "stale";
  /** Whether an entry rule uses it, so that somebody has to confirm it. */
  readonly used: boolean;
}

export interface FileDocument {
  readonly evidenceId: string;
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
  readonly uploadId: string;
  readonly name: string;
  readonly pages: number;
  readonly mediaType: string;
  readonly marks: readonly string[];
  readonly suppliedAt: string;
  readonly replacedAt: string | null;
  readonly judgement: string | null;
  readonly reason: string | null;
  readonly proof: string;
  /** Other files that hold the same bytes. */
  readonly alsoIn: readonly string[];
  /** The requirements of this file under which the same document stands, too. */
  readonly twice: readonly string[];
}

export interface FileReference {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly state: string;
  readonly askedAt: string;
  readonly endsAt: string;
  readonly givenAt: string | null;
  readonly answers: { readonly known: string; readonly rating: string; readonly text: string } | null;
  readonly uploadId: string | null;
  readonly judgement: string | null;
}

export interface FileEvent {
  readonly id: number;
  readonly at: string;
  readonly act: string;
  readonly who: string;
  readonly about: { readonly [key: string]: Json };
}

export interface FileData {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly email: string;
  readonly now: string;
  readonly zone: string;
  readonly calendar: ReferenceSet["calendar"];
  readonly officer: { readonly id: string; readonly name: string } | null;
  readonly groupTitle: LocalText | null;
  readonly assessment: Assessment;
  readonly choices: readonly {
    readonly id: string;
    readonly code: string;
    readonly title: LocalText;
    readonly award: string;
    readonly start: string;
    readonly round: string;
    readonly campus: string | null;
    readonly mode: string | null;
    readonly track: LocalText | null;
    /** What else it could be, by key: what the start offers. */
    readonly offered: ChoiceOffer;
    readonly extendedTo: string | null;
    readonly submittedAt: string | null;
    readonly withdrawnAt: string | null;
    /** The version of the rulebook that it stands on, and the one that is published now. */
    readonly rulebook: FileRulebook;
    readonly newest: FileRulebook;
    readonly decision: FileDecision | null;
  }[];
  /** Sections that were opened again, the oldest first; those taken back are not among them. */
  readonly reopenings: readonly FileReopening[];
  /** What the applicant asked to have opened and nobody has answered. */
  readonly request: {
    readonly sections: readonly { readonly scope: string; readonly section: string }[];
    readonly text: string;
    readonly askedAt: string;
  } | null;
  /** The sections that may be opened again. */
  readonly reopenable: readonly { readonly scope: string; readonly section: string; readonly title: string }[];
  readonly values: readonly ClaimedValue[];
  readonly shows: Readonly<Record<string, readonly string[]>>;
  readonly sections: readonly { readonly key: string; readonly title: LocalText; readonly repeats: boolean }[];
  readonly documents: readonly FileDocument[];
  readonly references: readonly FileReference[];
  readonly charges: readonly {
    readonly id: string;
    readonly item: string;
    readonly scope: string;
    readonly minor: number;
    readonly paidMinor: number;
    readonly currency: string;
    readonly reference: string;
  }[];
  /** What the applicant was asked for and has not answered. */
  readonly asks: readonly {
    readonly id: string;
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly text: string;
    readonly due: string;
    readonly askedAt: string;
  }[];
  readonly events: readonly FileEvent[];
  readonly messages: readonly {
    readonly id: string;
    readonly template: string;
    readonly to: string;
    readonly at: string;
    readonly state: string;
    readonly failure: string | null;
  }[];
  readonly ruleFields: Readonly<Record<string, readonly string[]>>;
  /** What facts are called, by the names that rules use. */
  readonly factTitles: Readonly<Record<string, string>>;
  readonly office: Pick<ReferenceSet, "scales" | "tests" | "areas" | "targets">;
}

interface FileRulebook {
  readonly id: string;
  readonly version: number;
}

export interface FileReopening {
  readonly id: string;
  readonly sections: readonly { readonly scope: string; readonly section: string }[];
  readonly reason: string;
  readonly due: string;
  readonly openedAt: string;
  readonly by: string;
  readonly answeredAt: string | null;
  readonly readAt: string | null;
}

export interface FileDecision {
  readonly kind: string;
  readonly reason: string | null;
  readonly conditions: readonly { readonly rule: string; readonly way: LocalText }[];
  readonly preparedBy: string;
  readonly preparedById: string;
  readonly preparedAt: string;
  readonly releasedBy: string | null;
  readonly releasedAt: string | null;
  readonly answerBy: string | null;
  readonly answer: string | null;
}

interface Extras {
  name: string;
  email: string;
  officer: FileData["officer"];
  choices: (Omit<FileData["choices"][number], "offered"> & PlannedChoice)[];
  reopenings: FileReopening[];
  request: FileData["request"];
  documents: FileDocument[];
  references: FileReference[];
  charges: FileData["charges"];
  asks: FileData["asks"];
  events: FileEvent[];
  messages: FileData["messages"];
}

const rowsOf = (object: string, from: string) => `coalesce((select json_agg(${object}) from (${from}) x), '[]'::json)`;

/** Everything else that the file's page shows, in one round trip. Names of people are joined in at reading; events hold ids. */
const EXTRAS = `select n.name as name, p.email,
  (select json_build_object('id', o.id, 'name', o.name) from person o where o.id = a.officer_id) as officer,
  ${rowsOf(
    `json_build_object('id', x.id, 'code', x.code, 'title', x.title, 'award', x.award, 'start', x.starts_on, 'round', x.round, 'campus', x.campus, 'mode', x.mode,
      'track', (select t->'title' from jsonb_array_elements(x.tracks) t where t->>'key' = x.track), 'extendedTo', x.extended_to, 'submittedAt', x.submitted_at, 'withdrawnAt', x.withdrawn_at,
      'rulebook', json_build_object('id', x.rulebook_id, 'version', x.version),
      'plan', json_build_object('campuses', x.campuses, 'modes', x.modes, 'tracks', x.tracks, 'options', x.options, 'track', x.track),
      'newest', (select json_build_object('id', n.id, 'version', n.version) from rulebook n where n.intake_id = x.intake_id and n.status = 'published'), 'decision', x.decision)`,
    `select c.id, g.code, g.title, g.award, g.tracks, g.campuses, g.modes, i.options, i.starts_on, r.key as round, c.campus, c.mode, c.track, c.extended_to, c.submitted_at, c.withdrawn_at, c.rulebook_id, c.intake_id, b.version, (select json_build_object('kind', d.kind, 'reason', d.reason, 'conditions', d.conditions,
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
    `json_build_object('evidenceId', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'uploadId', x.upload_id, 'name', x.name, 'pages', x.pages, 'mediaType', x.media_type, 'marks', x.marks,
      'suppliedAt', x.supplied_at, 'replacedAt', x.replaced_at, 'judgement', x.judgement, 'reason', x.reason, 'proof', x.proof, 'alsoIn', x.also, 'twice', x.twice)`,
    `select e.*, u.name, u.pages, u.marks, c.media_type, coalesce((select array_agg(distinct f.number) from upload y join application f on f.id = y.application_id where y.sha256 = u.sha256 and y.application_id <> a.id), '{}') as also,
       coalesce((select array_agg(distinct t.requirement) from evidence t join upload y on y.id = t.upload_id where t.application_id = a.id and y.sha256 = u.sha256
         and t.id <> e.id and t.replaced_at is null), '{}') as twice
     from evidence e join upload u on u.id = e.upload_id join content c on c.sha256 = u.sha256 where e.application_id = a.id order by e.supplied_at`,
  )} as documents,
  ${rowsOf(
    `json_build_object('id', x.id, 'name', x.name, 'email', x.email, 'state', x.state, 'askedAt', x.asked_at, 'endsAt', x.ends_at, 'givenAt', x.given_at, 'answers', x.answers, 'uploadId', x.upload_id, 'judgement', x.judgement)`,
    "select * from reference_request r where r.application_id = a.id order by r.asked_at",
  )} as references,
  ${rowsOf(
    `json_build_object('id', x.id, 'item', x.item, 'scope', x.scope, 'minor', x.total, 'paidMinor', x.paid, 'currency', x.currency, 'reference', x.payment_reference)`,
    `select c.*, c.minor + coalesce((select sum(j.minor) from charge_adjustment j where j.charge_id = c.id), 0) as total,
       coalesce((select sum(y.minor) from payment y where y.charge_id = c.id and y.state = 'booked'), 0) as paid from charge c where c.application_id = a.id order by c.made_at`,
  )} as charges,
  ${rowsOf(
    `json_build_object('id', x.id, 'requirement', x.requirement, 'scope', x.scope, 'entry', x.entry, 'text', x.text, 'due', x.due, 'askedAt', x.asked_at)`,
    "select * from ask k where k.application_id = a.id and k.answered_at is null order by k.asked_at",
  )} as asks,
  ${rowsOf(
    `json_build_object('id', x.id, 'at', x.at, 'act', x.act, 'who', x.who, 'about', x.about)`,
    `select v.id, v.at, v.act, v.about, case when v.actor like 'person:%' then (select name from person where id = substr(v.actor, 8)::uuid)
       when v.actor like 'link:%' then (select name from reference_request where id = substr(v.actor, 6)::uuid) else v.actor end as who
     from event v where v.application_id = a.id order by v.id desc limit 500`,
  )} as events,
  ${rowsOf(
    `json_build_object('id', x.id, 'template', x.template, 'to', x.to_address, 'at', coalesce(x.sent_at, x.queued_at), 'state', x.state, 'failure', x.failure)`,
    "select * from message m where m.application_id = a.id order by m.queued_at desc limit 200",
  )} as messages
from application a join person p on p.id = a.person_id join file_standing n on n.application_id = a.id where a.id = $1`;

const OFFICE_SEES = new Set(["assessment", "office"]);

function valuesOf(loaded: LoadedFile, index: AnswerIndex): readonly ClaimedValue[] {
  const values = new Map<string, ClaimedValue>();
  for (const choice of loaded.facts.choices) {
    const body = loaded.rulebooks[choice.rulebookId]?.body;
    if (!body) continue;
    const used = planOf(body).used;
    for (const section of body.sections) {
      const scope = section.scope === "file" ? "file" : choice.id;
      for (const entry of section.repeats ? index.entries(scope, section.key) : [""])
        for (const field of section.fields.filter((f) => OFFICE_SEES.has(f.seenBy))) {
          const place = `${scope}|${section.key}|${entry}|${field.key}`;
          if (!values.has(place)) values.set(place, claimed(index, section, field, scope, entry, used));
        }
    }
  }
  return [...values.values()];
}

function claimed(
  index: AnswerIndex,
  section: Section,
  field: Field,
  scope: string,
  entry: string,
  used: ReadonlySet<string>,
): ClaimedValue {
  const claim = index.claim(scope, section.key, entry, field.key);
  const confirmation = index.confirmed(scope, section.key, entry, field.key);
  const same = confirmation && JSON.stringify(confirmation.value) === JSON.stringify(claim);
  return {
    scope,
    section: section.key,
    entry,
    field: field.key,
    title: field.title,
    kind: field.kind,
    options: field.options,
    claim,
    confirmed: confirmation?.value ?? null,
    state: !confirmation ? "claimed" : index.isStale(confirmation) ? "stale" : same ? "confirmed" : "changed",
    used: used.has(`${section.key}.${field.key}`),
  };
}

function ruleFields(loaded: LoadedFile): Readonly<Record<string, readonly string[]>> {
  const bodies = loaded.facts.choices.flatMap((c) => loaded.rulebooks[c.rulebookId]?.body ?? []);
  return Object.fromEntries(
    bodies.flatMap((body) => [...planOf(body).inputs].map(([rule, fields]) => [rule, [...fields]])),
  );
}

function factTitles(loaded: LoadedFile): Readonly<Record<string, string>> {
  const bodies = loaded.facts.choices.flatMap((c) => loaded.rulebooks[c.rulebookId]?.body ?? []);
  return Object.fromEntries(
    bodies.flatMap((body) => [
      ...body.measures.map((m) => [`measure.${m.key}`, m.title.en] as const),
      ...body.sections.flatMap((s) => s.fields.map((f) => [`${factName(s)}.${f.key}`, f.title.en] as const)),
    ]),
  );
}

/** What a section is called in the office; one that belongs to a choice names its programme. */
function titleAt({ facts, rulebooks }: LoadedFile, { scope, section }: { scope: string; section: string }): string {
  const choices = facts.choices.filter((c) => scope === "file" || c.id === scope);
  const found = choices
    .flatMap((c) => rulebooks[c.rulebookId]?.body.sections ?? [])
    .find((s) => s.key === section && (s.scope === "file") === (scope === "file"));
  const title = found?.title.en ?? section;
  return scope === "file" ? title : `${title} · ${choices[0]?.programme ?? ""}`;
}

async function readFile(ctx: ViewContext, id: string): Promise<FileData | null> {
  const office = await officeNow(ctx.pool);
  const loaded = await loadFile(ctx.pool, id);
  const { rows } = await ctx.pool.query<Extras>(EXTRAS, [id]);
  const extras = rows[0];
  if (!loaded || !extras) return null;
  const assessment = assess({ ...loaded, office, at: ctx.now.getTime() });
  const index = new AnswerIndex(loaded.facts);
  const all = contexts(loaded.facts, index, loaded.rulebooks, loaded.rounds, office);
  const place = (r: { scope: string; key: string; entry: string }) => `${r.scope}|${r.key}|${r.entry}`;
  const sections = new Map(
    all.flatMap((c) =>
      c.rulebook.body.sections.map(
        (s) => [s.key, { key: s.key, title: s.title, repeats: s.repeats !== undefined }] as const,
      ),
    ),
  );
  const campusOf = (key: string | null) => office.set.campuses.find((c) => c.key === key)?.title.en ?? key;
  return {
    ...extras,
    choices: extras.choices.map(({ plan, ...c }) => ({
      ...c,
      campus: campusOf(c.campus),
      offered: choiceOffer(plan, c, (key) => campusOf(key) ?? key),
    })),
    id,
    number: loaded.facts.application.number,
    now: ctx.now.toISOString(),
    zone: office.set.zone,
    calendar: office.set.calendar,
    groupTitle: office.set.groups.find((g) => g.key === assessment.file.group)?.title ?? null,
    assessment,
    values: valuesOf(loaded, index),
    shows: Object.fromEntries(
      assessment.requirements.map((r) => [
        place(r),
        unconfirmed({ contexts: all, index }, r).map((v) => `${v.scope}|${v.section}|${v.entry}|${v.field}`),
      ]),
    ),
    sections: [...sections.values()],
    reopenable: reopenable(loaded).map((place) => ({ ...place, title: titleAt(loaded, place) })),
    ruleFields: ruleFields(loaded),
    factTitles: factTitles(loaded),
    office: {
      scales: office.set.scales,
      tests: office.set.tests,
      areas: office.set.areas,
      targets: office.set.targets,
    },
  };
}

/** One file, whole, for the office over one of its programmes. */
export const file = defineView({
  name: "file",
  input: z.object({ number: z.string().max(20) }),
  read: async (ctx, { number }) => {
    const scope = programmesOf(ctx.actor);
    if (scope === null) return null;
    const { rows } = await ctx.pool.query<{ id: string }>(
      `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    return rows[0] ? readFile(ctx, rows[0].id) : null;
  },
});
