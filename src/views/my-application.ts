import { z } from "zod";
import { assess } from "../core/assessment/assess";
import { type ChoiceContext, contexts } from "../core/assessment/context";
import type { Json } from "../core/assessment/facts";
import type { Assessment } from "../core/assessment/result";
import { type ChoiceRules, lackingChoices, orderOf, standsFor, undertakingFor } from "../core/choices/choice-rules";
import { growingSections, maySupply } from "../core/documents/may-supply";
import { type WithdrawnFee, withdrawnFee } from "../core/fees/after-withdrawal";
import { type ReferenceSet, type Registers, registersOf } from "../core/office/reference-set";
import {
  type IntakeInput,
  type Mode,
  offeredOptions,
  type ProgrammeInput,
  type Track,
} from "../core/programmes/programme";
import type { DocumentRequirement, Picture, Template } from "../core/requirements/definition";
import { factNames } from "../core/rules/names";
import { AnswerIndex } from "../core/sections/answer-index";
import { type Field, factName } from "../core/sections/definition";
import { reopenable } from "../core/sections/reopening";
import type { LocalText } from "../core/text/local-text";
import { type LoadedFile, loadFile } from "../db/load-file";
import { applicantsShare } from "./applicants-share";
import { entryTitles, titlesOf } from "./fact-titles";
import { type FormSection, formSections } from "./form-sections";
import { officeNow } from "./office-now";
import { fileInScope, programmesOf, scopeParameter } from "./scope";
import { defineView, type ViewContext } from "./view";

export interface Supplied {
  readonly evidenceId: string;
  readonly uploadId: string;
  readonly name: string;
  readonly pages: number;
  readonly marks: readonly string[];
  readonly size: number;
  readonly judged: boolean;
}

export interface MyApplication {
  readonly id: string;
  readonly number: string;
  readonly zone: string;
  readonly now: string;
  readonly assessment: Assessment;
  /** What facts are called, by the names that rules use. */
  readonly factTitles: Readonly<Record<string, LocalText>>;
  readonly groupTitle: LocalText | null;
  /** What was stated that decides the group, as the rules of the groups read it. */
  readonly groupBecause: readonly { readonly field: Pick<Field, "title" | "kind" | "options">; readonly value: Json }[];
  readonly sections: readonly FormSection[];
  readonly documents: readonly {
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly open: boolean;
    /** What the document has to show and, from what was stated, would not. */
    readonly fails: readonly LocalText[];
    readonly help: LocalText | null;
    /** Who may sign it by a link: whom the form names, and what became of the last request; null where nobody signs it. */
    readonly signer: {
      readonly name: string;
      readonly email: string;
      readonly sentence: LocalText;
      readonly last: { readonly state: string; readonly email: string; readonly askedAt: string } | null;
    } | null;
    /** Copies that the office passes on leave it out. */
    readonly keptBack: boolean;
    /** The size of the picture that is asked for; null where any document is. */
    readonly picture: Picture | null;
    /** Forms to download and have filled in. */
    readonly templates: readonly Template[];
    readonly entryTitle: string | null;
    readonly supplied: readonly Supplied[];
  }[];
  readonly references: readonly {
    readonly id: string;
    readonly referee: string;
    readonly state: string;
    readonly askedAt: string;
  }[];
  readonly charges: readonly {
    readonly id: string;
    readonly scope: string;
    readonly item: string;
    readonly minor: number;
    readonly paidMinor: number;
    readonly currency: string;
    readonly reference: string;
    readonly last: string | null;
    /** What becomes of it when what it was paid for is withdrawn. */
    readonly whenWithdrawn: WithdrawnFee;
  }[];
  readonly asks: readonly {
    readonly requirement: string;
    readonly scope: string;
    readonly entry: string;
    readonly text: string;
    readonly due: string;
  }[];
  /** What the office opened again and the applicant has not yet sent. */
  readonly reopening: { readonly reason: string; readonly due: string } | null;
  /** What the applicant asked to have opened, and when, while nobody has answered. */
  readonly request: { readonly text: string; readonly askedAt: string } | null;
  /** The parts whose correction may be asked for. */
  readonly correctable: readonly { readonly scope: string; readonly section: string }[];
  readonly choices: readonly {
    readonly id: string;
    readonly code: string;
    readonly title: LocalText;
    readonly award: string;
    /** Whom people may ask about the programme. */
    readonly contact: ProgrammeInput["contact"];
    readonly start: string;
    readonly decision: MyDecision | null;
    readonly submittedAt: string | null;
    readonly withdrawn: boolean;
    readonly rank: number;
    readonly round: string;
    readonly campus: string | null;
    readonly mode: string | null;
    readonly track: string | null;
    readonly extendedTo: string | null;
    /** What this start offers, to change to while the choice is not submitted. */
    readonly offered: {
      readonly campuses: readonly { readonly key: string; readonly title: LocalText }[];
      readonly modes: readonly Mode[];
      readonly tracks: readonly Track[];
    };
  }[];
  readonly ranked: boolean;
  /** All sections but the declaration stand on one page: the form of the one programme that is chosen is that short. */
  readonly onePage: boolean;
  /** How many choices are still needed before any can be submitted. */
  readonly lackingChoices: number;
  /** What is promised of the order of the choices, and when it was for the order of now; null where nothing is. */
  readonly undertaking: { readonly text: LocalText; readonly givenAt: string | null } | null;
  /** The application from which answers were carried over, and the sections that they are in. */
  readonly carried: { readonly from: string; readonly sections: readonly string[] } | null;
  readonly events: readonly { readonly act: string; readonly at: string }[];
  readonly office: Registers;
}

export interface MyDecision {
  readonly kind: string;
  readonly reason: string | null;
  readonly conditions: readonly LocalText[];
  readonly answerBy: string | null;
  readonly answer: string | null;
  readonly answeredAt: string | null;
}

const SHOWN_EVENTS = [
  "start-application",
  "add-choice",
  "carry-over",
  "change-choice",
  "arrange-choices",
  "give-undertaking",
  "extend-choice",
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
  "tell-missing",
  "request-correction",
  "refuse-correction",
  "reopen-sections",
  "send-corrections",
  "end-reopening",
  "release-decision",
  "answer-decision",
  "withdraw",
  "erase-draft",
];

interface Extras {
  uploads:
    | {
        evidence_id: string;
        requirement: string;
        scope: string;
        entry: string;
        upload_id: string;
        name: string;
        pages: number;
        marks: string[];
        size: number;
        judged: boolean;
      }[]
    | null;
  charges: Omit<MyApplication["charges"][number], "whenWithdrawn">[] | null;
  asks: MyApplication["asks"] | null;
  signatures: { requirement: string; state: string; email: string; askedAt: string }[] | null;
  choices:
    | (Omit<MyApplication["choices"][number], "decision" | "offered"> & {
        programme: Pick<ProgrammeInput, "campuses" | "modes" | "tracks" | "onePage">;
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
}

const EXTRAS = `select
  (select json_agg(json_build_object('evidence_id', e.id, 'requirement', e.requirement, 'scope', e.scope, 'entry', e.entry, 'upload_id', u.id, 'name', u.name, 'pages', u.pages,
     'marks', u.marks, 'size', c.size, 'judged', e.judgement is not null) order by e.supplied_at)
   from evidence e join upload u on u.id = e.upload_id join content c on c.sha256 = u.sha256 where e.application_id = $1 and e.replaced_at is null) as uploads,
  (select json_agg(json_build_object('id', c.id, 'scope', c.scope, 'item', c.item, 'minor', c.minor + coalesce((select sum(j.minor) from charge_adjustment j where j.charge_id = c.id), 0),
     'paidMinor', coalesce((select sum(p.minor) from payment p where p.charge_id = c.id and p.state = 'booked'), 0), 'currency', c.currency, 'reference', c.payment_reference,
     'last', (select p.state from payment p where p.charge_id = c.id order by p.started_at desc limit 1))) from charge c where c.application_id = $1) as charges,
  (select json_agg(json_build_object('requirement', a.requirement, 'scope', a.scope, 'entry', a.entry, 'text', a.text, 'due', a.due) order by a.due) from ask a
   where a.application_id = $1 and a.answered_at is null) as asks,
  (select json_agg(json_build_object('id', c.id, 'code', p.code, 'title', p.title, 'award', p.award, 'contact', p.contact, 'start', i.starts_on, 'submittedAt', c.submitted_at,
     'withdrawn', c.withdrawn_at is not null, 'rank', c.rank, 'round', r.key, 'campus', c.campus, 'mode', c.mode, 'track', c.track, 'extendedTo', c.extended_to,
     'programme', json_build_object('campuses', p.campuses, 'modes', p.modes, 'tracks', p.tracks, 'onePage', p.one_page), 'options', i.options,
     'decision', (select json_build_object('kind', d.kind, 'reason', d.reason, 'conditions', d.conditions, 'answerBy', d.answer_by, 'answer', d.answer, 'answeredAt', d.answered_at, 'released', d.released_at is not null)
       from decision d where d.choice_id = c.id)) order by c.rank)
   from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id join round r on r.id = c.round_id
   where c.application_id = $1) as choices,
  (select json_agg(json_build_object('requirement', s.requirement, 'state', s.state, 'email', s.email, 'askedAt', s.asked_at) order by s.asked_at) from signature_request s
   where s.application_id = $1 and s.state <> 'replaced') as signatures,
  (select json_build_object('text', q.text, 'askedAt', q.asked_at) from correction_request q where q.application_id = $1 and q.answered_at is null) as request,
  (select json_build_object('reason', o.reason, 'due', o.due) from reopening o where o.application_id = $1 and o.answered_at is null and o.ended_at is null) as reopening,
  (select f.rules from application a join procedure f on f.id = a.procedure_id where a.id = $1) as rules,
  (select json_build_object('at', u.at, 'order', (select json_agg(c->>'id') from jsonb_array_elements(u.choices) c)) from undertaking u
   where u.application_id = $1 order by u.at desc limit 1) as promise,
  (select v.about from event v where v.application_id = $1 and v.act = 'carry-over' limit 1) as carried,
  (select json_agg(json_build_object('act', v.act, 'at', v.at) order by v.id) from event v where v.application_id = $1 and v.act = any($2::text[])) as events`;

/** The stated values that the rules of the groups have read, up to the one that was met: what decides which group somebody is in. */
function groupBecause(
  { groups }: ReferenceSet,
  group: string | null,
  index: AnswerIndex,
  context: ChoiceContext | undefined,
): MyApplication["groupBecause"] {
  const last = groups.findIndex((g) => g.key === group);
  if (last < 0 || !context) return [];
  const names = new Set(groups.slice(0, last + 1).flatMap((g) => factNames(g.when)));
  return context.rulebook.body.sections.flatMap((section) =>
    section.fields
      .filter((field) => names.has(`${factName(section)}.${field.key}`))
      .map((field) => ({ field, value: index.claim("file", section.key, "", field.key) }))
      .filter(({ value }) => value !== null && value !== ""),
  );
}

/** Whom the form names as signer of a document, by the fields of that section. */
function signerOf(
  requirement: DocumentRequirement | null,
  index: AnswerIndex,
  extras: Extras | undefined,
): MyApplication["documents"][number]["signer"] {
  if (!requirement?.signedBy) return null;
  const { section, sentence } = requirement.signedBy;
  const stated = (field: string): string => {
    const value = index.claim("file", section, "", field);
    return typeof value === "string" ? value.trim() : "";
  };
  const last = extras?.signatures?.filter((s) => s.requirement === requirement.key).at(-1) ?? null;
  return { name: stated("name"), email: stated("email"), sentence, last };
}

function promiseOf({ rules, promise }: Extras, order: readonly string[]): MyApplication["undertaking"] {
  const text = undertakingFor(rules, order.length);
  return text && { text, givenAt: promise && standsFor(promise.order, order) ? promise.at : null };
}

async function readApplication(ctx: ViewContext, id: string): Promise<MyApplication | null> {
  const office = await officeNow(ctx.pool);
  const loaded = await loadFile(ctx.pool, id);
  if (!loaded) return null;
  const assessment = assess({ ...loaded, office, at: ctx.now.getTime() });
  const index = new AnswerIndex(loaded.facts);
  const all = contexts(loaded.facts, index, loaded.rulebooks, loaded.rounds, office);
  const live = all.filter((c) => c.choice.withdrawnAt === null);
  const { rows } = await ctx.pool.query<Extras>(EXTRAS, [id, SHOWN_EVENTS]);
  const extras = rows[0];
  const choices = (extras?.choices ?? []).map(({ decision, programme, options, ...plain }) => {
    const own = offeredOptions(programme, { options });
    const campuses = office.set.campuses.filter((c) => own.campuses.includes(c.key));
    const choice = { ...plain, offered: { ...own, campuses } };
    if (!decision?.released) return { ...choice, decision: null };
    const { released: _released, conditions, ...shown } = decision;
    return { ...choice, decision: { ...shown, conditions: conditions.map((c) => c.way) } };
  });
  const asked = new Map(
    Object.values(loaded.rulebooks).flatMap((r) => r.body.requirements.map((q) => [q.key, q] as const)),
  );
  const growing = growingSections(loaded.facts, loaded.rulebooks);
  const documentOf = (key: string) => {
    const requirement = asked.get(key);
    return requirement?.kind === "document" ? requirement : null;
  };
  return {
    id,
    number: loaded.facts.application.number,
    zone: office.set.zone,
    now: ctx.now.toISOString(),
    assessment: applicantsShare(assessment, new Set(choices.filter((c) => c.decision).map((c) => c.id))),
    factTitles: Object.assign(
      {},
      ...Object.values(loaded.rulebooks).map((r) => titlesOf(r.body, office.set)),
      ...all.map(({ rulebook }) => entryTitles(index, rulebook.body.sections)),
    ),
    groupTitle: office.set.groups.find((g) => g.key === assessment.file.group)?.title ?? null,
    groupBecause: groupBecause(office.set, assessment.file.group, index, all[0]),
    sections: formSections(
      index,
      live.length > 0 ? live : all,
      assessment.requirements.flatMap((r) => r.gaps),
      loaded.facts,
      office.set,
    ),
    documents: assessment.requirements
      .filter((r) => r.kind === "document")
      .map((r) => ({
        requirement: r.key,
        scope: r.scope,
        entry: r.entry,
        open: maySupply(loaded.facts, assessment, { requirement: r.key, scope: r.scope, entry: r.entry }, growing),
        fails: r.checks.filter((c) => c.trace.truth === "not met").map((c) => c.title),
        help: asked.get(r.key)?.help ?? null,
        signer: signerOf(documentOf(r.key), index, extras),
        keptBack: documentOf(r.key)?.keptBack ?? false,
        picture: documentOf(r.key)?.picture ?? null,
        templates: documentOf(r.key)?.templates ?? [],
        entryTitle: entryTitle(loaded, r.entry),
        supplied: (extras?.uploads ?? [])
          .filter((u) => u.requirement === r.key && u.scope === r.scope && u.entry === r.entry)
          .map((u) => ({
            evidenceId: u.evidence_id,
            uploadId: u.upload_id,
            name: u.name,
            pages: u.pages,
            marks: u.marks,
            size: u.size,
            judged: u.judged,
          })),
      })),
    references: loaded.facts.references.map(({ id: requestId, referee, state, askedAt }) => ({
      id: requestId,
      referee,
      state,
      askedAt,
    })),
    charges: (extras?.charges ?? []).map((c) => ({ ...c, whenWithdrawn: withdrawnFee(loaded.rulebooks, c.item) })),
    asks: extras?.asks ?? [],
    // Nothing is corrected any more in what is closed.
    ...(assessment.file.stage === "closed"
      ? { reopening: null, request: null, correctable: [] }
      : { reopening: extras?.reopening ?? null, request: extras?.request ?? null, correctable: reopenable(loaded) }),
    choices,
    onePage: live.length === 1 && (extras?.choices ?? []).some((c) => !c.withdrawn && c.programme.onePage),
    ranked: extras?.rules.ranked ?? false,
    lackingChoices: extras ? lackingChoices(extras.rules, live.length) : 0,
    undertaking: extras
      ? promiseOf(
          extras,
          orderOf(loaded.facts.choices).map((c) => c.id),
        )
      : null,
    carried: extras?.carried ?? null,
    events: extras?.events ?? [],
    office: registersOf(office.set),
  };
}

/** What an entry is called where a document belongs to it: its title or its institution. */
function entryTitle(loaded: LoadedFile, entry: string): string | null {
  if (entry === "") return null;
  const value = (field: string) => loaded.facts.answers.find((a) => a.entry === entry && a.field === field)?.value;
  const title = value("title") ?? value("institution");
  return typeof title === "string" && title !== "" ? title : null;
}

/** One application, for the person whose it is. */
export const myApplication = defineView({
  name: "my-application",
  input: z.object({ number: z.string().max(20) }),
  read: async (ctx, { number }) => {
    if (ctx.actor.kind !== "person") return null;
    const { rows } = await ctx.pool.query<{ id: string }>(
      "select id from application where number = $1 and person_id = $2",
      [number, ctx.actor.id],
    );
    return rows[0] ? readApplication(ctx, rows[0].id) : null;
  },
});

/** The same for the office that works on it, with the name of the person whose it is. */
export const officeCopy = defineView({
  name: "office-copy",
  input: z.object({ number: z.string().max(20) }),
  read: async (ctx, { number }): Promise<{ readonly application: MyApplication; readonly name: string } | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null) return null;
    const { rows } = await ctx.pool.query<{ id: string; name: string }>(
      `select a.id, p.name from application a join person p on p.id = a.person_id where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    const application = rows[0] ? await readApplication(ctx, rows[0].id) : null;
    return application && rows[0] ? { application, name: rows[0].name } : null;
  },
});
