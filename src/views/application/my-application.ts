import { z } from "zod";
import { AnswerIndex } from "../../core/answers/answer-index";
import { establishedOtherwise } from "../../core/answers/established";
import { reopenable } from "../../core/answers/reopening";
import { applicantsShare } from "../../core/assessment/applicants-share";
import { casesAsked, earlyWish } from "../../core/assessment/cases-asked";
import { contexts } from "../../core/assessment/context";
import { assessAndExplain } from "../../core/assessment/explain";
import { lackingChoices, orderOf, standsFor, undertakingFor } from "../../core/catalogue/choice-rules";
import { offeredOptions } from "../../core/catalogue/programme";
import { growingSections, maySupply } from "../../core/evidence/may-supply";
import { withdrawnFee } from "../../core/fees/after-withdrawal";
import type { ChoiceContext } from "../../core/file/choice-context";
import type { LoadedFile } from "../../core/file/loaded-file";
import { entryKey, requirementKey, resultKey } from "../../core/file/place";
import { gapsOf } from "../../core/file/result";
import { type FormSection, formSections } from "../../core/form/form-sections";
import type { DocumentRequirement } from "../../core/rulebook/requirement";
import { factName } from "../../core/rulebook/section";
import { factNames } from "../../core/rules/names";
import { type Office, type ReferenceSet, registersOf } from "../../core/standards/reference-set";
import { scheduleOf } from "../../core/turns/schedule";
import { spentOn } from "../../core/turns/spent";
import { loadFile } from "../../db/queries/load-file";
import { contactPlaces } from "../contact/contact-places";
import { ownReasons, wordsByKey } from "../evidence/return-reasons";
import { entryTitles, titlesOf } from "../form/fact-titles";
import { officeNow } from "../view/office-now";
import { defineView, type ViewContext } from "../view/view";
import type { MyApplication } from "./application-data";
import { EXTRAS, type Extras, SHOWN_EVENTS } from "./application-extras";

/** The values, confirmed or stated, that the rules of the groups have read, up to the one that was met: what decides which group somebody is in. */
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
      .map((field) => {
        const at = ["file", section.key, "", field.key] as const;
        return { field, value: index.confirmed(...at)?.value ?? index.claim(...at) };
      })
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

/** What the office established otherwise than it was stated, as far as the form shows it. */
function establishedIn(
  { facts }: LoadedFile,
  index: AnswerIndex,
  sections: readonly FormSection[],
): MyApplication["established"] {
  return establishedOtherwise(facts, index).flatMap(({ scope, section: key, entry, field: name, claim, value }) => {
    const section = sections.find((s) => s.key === key && s.scope === scope);
    const field = section?.fields.find((f) => f.key === name);
    if (!section || !field) return [];
    return [{ scope, key, section: section.title, field, entry, before: claim, after: value }];
  });
}

/** What a draft asks rulings on: what nobody has to rule on stands in no list of the office. */
function casesOfDraft({ facts }: LoadedFile, live: readonly ChoiceContext[], office: Office): MyApplication["cases"] {
  if (facts.choices.some((c) => c.submittedAt !== null)) return [];
  const cases = live.flatMap((context) =>
    casesAsked(context, facts.rulings, office).flatMap(({ measure, cases: found }) =>
      found
        .filter((c) => c.by !== "list" && Object.values(c.about).some((part) => part !== ""))
        .map(({ scope, section, entry, title, answer }) => {
          const { question } = measure;
          const early = earlyWish(facts, question, { scope, section, entry });
          return {
            question,
            scope,
            section,
            entry,
            asks: measure.title,
            title,
            answer,
            askedAt: early?.askedAt ?? null,
          };
        }),
    ),
  );
  return [...new Map(cases.map((c) => [`${c.question}|${entryKey(c)}`, c])).values()];
}

export async function readApplication(ctx: ViewContext, id: string): Promise<MyApplication | null> {
  const office = await officeNow(ctx.pool);
  const loaded = await loadFile(ctx.pool, id);
  if (!loaded) return null;
  const assessment = assessAndExplain({ ...loaded, office, at: ctx.now.getTime() });
  const index = new AnswerIndex(loaded.facts);
  const all = contexts(loaded.facts, index, loaded.rulebooks, loaded.rounds, office, ctx.now.getTime());
  const live = all.filter((c) => c.choice.withdrawnAt === null);
  const [{ rows }, reasons] = await Promise.all([
    ctx.pool.query<Extras>(EXTRAS, [id, SHOWN_EVENTS]),
    ownReasons(ctx.pool),
  ]);
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
  const sections = formSections(
    index,
    live.length > 0 ? live : all,
    assessment.requirements.flatMap(gapsOf),
    loaded.facts,
    office.set,
  );
  return {
    id,
    number: loaded.facts.application.number,
    zone: office.set.zone,
    now: ctx.now.toISOString(),
    assessment: applicantsShare(assessment, new Set(choices.filter((c) => c.decision).map((c) => c.id))),
    schedules: live.flatMap(({ choice, round }) => {
      const result = assessment.choices.find((c) => c.id === choice.id);
      return (
        (result && scheduleOf(choice, result, round, loaded.facts.turns.at(-1)?.turn ?? "applicant", office)) ?? []
      );
    }),
    spent: spentOn(loaded.facts, assessment.file.stage, office, ctx.now),
    factTitles: Object.assign(
      {},
      ...Object.values(loaded.rulebooks).map((r) => titlesOf(r.body, office.set)),
      ...all.map(({ rulebook }) => entryTitles(index, rulebook.body.sections)),
    ),
    groupTitle: office.set.groups.find((g) => g.key === assessment.file.group)?.title ?? null,
    groupBecause: groupBecause(office.set, assessment.file.group, index, all[0]),
    sections,
    established: establishedIn(loaded, index, sections),
    documents: assessment.requirements
      .filter((r) => r.kind === "document")
      .map((r) => ({
        requirement: r.key,
        scope: r.scope,
        entry: r.entry,
        open: maySupply(loaded.facts, assessment, { requirement: r.key, scope: r.scope, entry: r.entry }, growing),
        fails: r.checks.filter((c) => c.truth === "not met").map((c) => c.title),
        shows: r.shows,
        help: asked.get(r.key)?.help ?? null,
        signer: signerOf(documentOf(r.key), index, extras),
        governsName: documentOf(r.key)?.governsName ?? false,
        keptBack: documentOf(r.key)?.keptBack ?? false,
        picture: documentOf(r.key)?.picture ?? null,
        takes: documentOf(r.key)?.takes ?? {},
        languages: documentOf(r.key)?.languages ?? null,
        templates: documentOf(r.key)?.templates ?? [],
        entryTitle: entryTitle(loaded, r.entry),
        mayAnnounce:
          assessment.file.stage !== "closed" &&
          loaded.facts.choices.some((c) => r.choices.includes(c.id) && c.submittedAt !== null) &&
          (["missing", "returned", "promised"].includes(r.standing) || r.owedProof !== null),
        announced: loaded.facts.announced.find((p) => requirementKey(p) === resultKey(r)) ?? null,
        papers: (extras?.papers ?? []).filter((p) => requirementKey(p) === resultKey(r)),
        supplied: (extras?.uploads ?? [])
          .filter((u) => u.requirement === r.key && u.scope === r.scope && u.entry === r.entry)
          .map((u) => ({
            evidenceId: u.evidence_id,
            uploadId: u.upload_id,
            name: u.name,
            firstPage: u.first_page,
            lastPage: u.last_page,
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
      ...(extras?.requests?.[requestId] ?? { email: "", dueAt: askedAt, remindedAt: null, declineReason: null }),
    })),
    charges: (extras?.charges ?? []).map((c) => ({ ...c, whenWithdrawn: withdrawnFee(loaded.rulebooks, c.item) })),
    asks: extras?.asks ?? [],
    returnWords: wordsByKey(reasons),
    cases: casesOfDraft(loaded, live, office),
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
    granted: extras?.granted ?? [],
    unread: extras?.unread ?? 0,
    contacts: contactPlaces(loaded, extras?.contactNotes ?? []),
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
