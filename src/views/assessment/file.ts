import { z } from "zod";
import type { AnswerIndex } from "../../core/answers/answer-index";
import { applies } from "../../core/answers/completeness";
import { reopenable } from "../../core/answers/reopening";
import { COMPLETE_FIELD } from "../../core/answers/typed-facts";
import { assessIn, prepare } from "../../core/assessment/assess";
import { explain } from "../../core/assessment/explain";
import type { ChoiceContext } from "../../core/file/choice-context";
import type { LoadedFile } from "../../core/file/loaded-file";
import { answerKey, resultKey } from "../../core/file/place";
import { entriesInOrder } from "../../core/form/entry-order";
import { withEntries } from "../../core/form/entry-title";
import type { PlainDate } from "../../core/ids";
import { type CountingPaper, joinCounting, papersFor } from "../../core/people/papers";
import { shownName } from "../../core/people/shown-name";
import { signedOtherwise } from "../../core/people/signed-name";
import { unconfirmed } from "../../core/requirements/unconfirmed";
import { holds, OFFICE } from "../../core/rights/actor";
import { planOf } from "../../core/rulebook/plan";
import type { Field, Section } from "../../core/rulebook/section";
import { type Office, registersOf } from "../../core/standards/reference-set";
import { ageOn, birthday, FULL_AGE } from "../../core/time/age";
import { type Day, formatDay, parseDay } from "../../core/time/day";
import { dayAt } from "../../core/time/zone";
import { spentOn } from "../../core/turns/spent";
import { loadFile } from "../../db/queries/load-file";
import { localTitles } from "../../text/words/trace";
import { choiceOffer } from "../application/choice-offer";
import { contactPlaces } from "../contact/contact-places";
import { writingAids } from "../conversation/writing-aids";
import { entryTitles, titlesOf } from "../form/fact-titles";
import { accountOf, doublesOf } from "../people/doubles";
import { casesOfFile } from "../rulings/rulings";
import { likenessesOf } from "../statements/likeness";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView, type ViewContext } from "../view/view";
import type { ClaimedValue, FileData } from "./file-data";
import { EXTRAS, type Extras } from "./file-extras";

const OFFICE_SEES: readonly Field["seenBy"][] = ["assessment", "office"];

/** What stands beside the values of a file: where they came from, and what was asked of those who own them. */
type Beside = Pick<Extras, "keeperNotes" | "valueNotes" | "formerValues" | "carried">;

const officeSees = ({ seenBy }: Field, advises: boolean): boolean =>
  OFFICE_SEES.includes(seenBy) || (advises && seenBy === "advisers");

/** Who alone reads a section of which the office sees nothing. */
function keptFor(fields: readonly Field[], advises: boolean): FileData["sections"][number]["kept"] {
  const [first] = fields;
  if (!first || fields.some((f) => officeSees(f, advises))) return null;
  return first.seenBy === "advisers" || first.seenBy === "finance" || first.seenBy === "figures" ? first.seenBy : null;
}

/** @param advises whether the reader sees what is told in confidence */
function valuesOf(loaded: LoadedFile, index: AnswerIndex, beside: Beside, advises: boolean): readonly ClaimedValue[] {
  const values = new Map<string, ClaimedValue>();
  for (const choice of loaded.facts.choices) {
    const body = loaded.rulebooks[choice.rulebookId]?.body;
    if (!body) continue;
    const used = planOf(body).used;
    for (const section of body.sections) {
      const fields = section.fields
        .filter((f) => officeSees(f, advises))
        .map((f) => withEntries(f, body.sections, index));
      const scope = section.scope === "file" ? "file" : choice.id;
      for (const entry of section.repeats ? entriesInOrder(index, scope, section) : [""])
        for (const field of fields) {
          const place = answerKey({ scope, section: section.key, entry, field: field.key });
          if (!values.has(place)) values.set(place, claimed(index, section, field, scope, entry, used, beside));
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
  { keeperNotes, valueNotes, formerValues, carried }: Beside,
): ClaimedValue {
  const here = (p: { scope: string; section: string; entry: string; field: string }) =>
    p.scope === scope && p.section === section.key && p.entry === entry && p.field === field.key;
  const version = index.row(scope, section.key, entry).version(field.key);
  const pending = keeperNotes.find((n) => here(n) && n.version === version);
  const note = valueNotes.find((n) => here(n) && n.version === (version ?? 0)); // 0: of what nobody claimed
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
    currency: field.currency,
    claim,
    confirmed: confirmation?.value ?? null,
    note: note ? { text: note.text, by: note.by, at: note.at } : null,
    before: formerValues.filter(here).map(({ value, text, by, at }) => ({ value, text, by, at })),
    keptBy: field.keptBy ?? null,
    pending: pending ? { text: pending.text, by: pending.by, at: pending.at } : null,
    from: carried.find(here)?.number ?? null,
    state: !confirmation ? "claimed" : index.isStale(confirmation) ? "stale" : same ? "confirmed" : "changed",
    used: used.has(`${section.key}.${field.key}`),
    byOffice: field.byOffice === true,
  };
}

function ruleFields(loaded: LoadedFile): Readonly<Record<string, readonly string[]>> {
  const bodies = loaded.facts.choices.flatMap((c) => loaded.rulebooks[c.rulebookId]?.body ?? []);
  return Object.fromEntries(
    bodies.flatMap((body) => [...planOf(body).inputs].map(([rule, fields]) => [rule, [...fields]])),
  );
}

function documentRules(loaded: LoadedFile): FileData["documentRules"] {
  const asked = Object.values(loaded.rulebooks).flatMap((r) => r.body.requirements);
  return Object.fromEntries(
    asked.flatMap((r) => (r.kind === "document" ? [[r.key, { takes: r.takes, languages: r.languages }]] : [])),
  );
}

function factTitles(loaded: LoadedFile, index: AnswerIndex, { set }: Office): Readonly<Record<string, string>> {
  const bodies = loaded.facts.choices.flatMap((c) => loaded.rulebooks[c.rulebookId]?.body ?? []);
  const titles = bodies.flatMap((body) => [titlesOf(body, set), entryTitles(index, body.sections)]);
  return localTitles(Object.assign({}, ...titles), "en");
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

/** By what else somebody is known: what they are called, and the names of before. */
function otherNamesOf(values: readonly ClaimedValue[]): FileData["otherNames"] {
  const named = (field: string) => {
    const value = values.find((v) => v.section === "person" && v.field === field);
    const known = value?.confirmed ?? value?.claim;
    return typeof known === "string" && known !== "" ? known : null;
  };
  return { called: named("calledName"), former: named("formerNames"), onCertificates: named("certificateName") };
}

function signedAs(values: readonly ClaimedValue[], name: string): string | null {
  const signed = values.find((v) => v.section === "declaration" && v.field === "signature")?.claim;
  return typeof signed === "string" && signedOtherwise(signed, name) ? signed : null;
}

/** Worked out anew each day, so that nobody is written to about somebody who has come of age. */
function underAgeOf(
  values: readonly ClaimedValue[],
  today: Day,
  { rulebooks }: Pick<LoadedFile, "rulebooks">,
): FileData["underAge"] {
  const birth = values.find((v) => v.section === "person" && v.field === "birthDate");
  const stated = birth?.confirmed ?? birth?.claim;
  const born = typeof stated === "string" ? parseDay(stated) : null;
  if (born === null || ageOn(born, today) >= FULL_AGE) return null;
  const guardian = Object.values(rulebooks).some(({ body }) =>
    body.requirements.some((r) => r.kind === "document" && r.signedBy !== undefined),
  );
  return { age: ageOn(born, today), until: formatDay(birthday(born, FULL_AGE)), guardian };
}

/** The documents on which the name counts as it stands there, by the rulebooks of the file. */
function governingOf({ rulebooks }: Pick<LoadedFile, "rulebooks">): FileData["governing"] {
  const all = Object.values(rulebooks).flatMap(({ body }) => body.requirements);
  const governing = all.flatMap((r) =>
    r.kind === "document" && r.governsName ? [[r.key, { requirement: r.key, title: r.title }] as const] : [],
  );
  return [...new Map(governing).values()];
}

/** Of several programmes, what counts for all of them. */
function countingPapers(all: readonly ChoiceContext[], office: Office): FileData["counting"] {
  const lists = new Map<string, readonly CountingPaper[] | undefined>();
  for (const { rulebook } of all)
    for (const section of rulebook.body.sections)
      for (const { key, kind, papers } of section.fields)
        if (kind === "paper") {
          const name = `${section.key}.${key}`;
          lists.set(name, joinCounting(lists.get(name), papers));
        }
  const source = all[0]?.source;
  if (!source) return {};
  return Object.fromEntries(
    [...lists].map(([name, counting]) => [
      name,
      papersFor(office.set.papers, counting, source).map(({ key, title }) => ({ key, title })),
    ]),
  );
}

/** In whose hands a file is, and who stands in for them on a day. */
function heldBy(officer: Extras["officer"], today: PlainDate): FileData["officer"] {
  if (!officer) return null;
  const { absences, ...own } = officer;
  return { ...own, cover: absences.find((a) => a.from <= today && today <= a.until)?.cover ?? null };
}

async function readFile(ctx: ViewContext, id: string, scope: "all" | readonly string[]): Promise<FileData | null> {
  const [office, loaded, found] = await Promise.all([
    officeNow(ctx.pool),
    loadFile(ctx.pool, id),
    ctx.pool.query<Extras>(EXTRAS, [id]),
  ]);
  const extras = found.rows[0];
  if (!loaded || !extras) return null;
  const input = { ...loaded, office, at: ctx.now.getTime() };
  const prepared = prepare(input);
  const { index, all } = prepared;
  const assessment = explain(prepared, assessIn(prepared, input));
  const [cases, doubles, account, likenesses, writing] = await Promise.all([
    casesOfFile(ctx.pool, loaded.facts, all, office),
    doublesOf(ctx.pool, { ...loaded.facts, id, email: extras.email }, scope),
    accountOf(ctx.pool, id, scope),
    likenessesOf(ctx.pool, loaded, scope),
    writingAids(ctx.pool, ctx.actor, id),
  ]);
  if (!writing) return null;
  const advises = holds(
    ctx.actor,
    ["adviser"],
    loaded.facts.choices.map((c) => c.programme),
  );
  const sections = new Map<string, FileData["sections"][number]>();
  for (const { rulebook, choice, source } of all)
    for (const { key, title, repeats, scope: of, when, fields } of rulebook.body.sections) {
      const known = sections.get(key);
      const isWhole = index.claim(of === "file" ? "file" : choice.id, key, "", COMPLETE_FIELD) === true;
      sections.set(key, {
        key,
        title,
        repeats: repeats !== undefined,
        asked: (known?.asked ?? false) || applies(when, source),
        kept: keptFor(fields, advises),
        confidential: fields.some((f) => f.seenBy === "advisers"),
        whole: (known?.whole ?? false) || isWhole,
      });
    }
  const { keeperNotes, valueNotes, formerValues, carried, ...shown } = extras;
  const values = valuesOf(loaded, index, { keeperNotes, valueNotes, formerValues, carried }, advises);
  const campusOf = (key: string | null) => office.set.campuses.find((c) => c.key === key)?.title.en ?? key;
  return {
    ...shown,
    writesIn: extras.writesIn,
    officer: heldBy(extras.officer, formatDay(dayAt(office.zone, ctx.now.getTime()))),
    adjustments: extras.adjustments.map((a) => (advises ? a : { ...a, why: null })),
    advises,
    choices: extras.choices.map(({ plan, ...c }) => ({
      ...c,
      may: { work: holds(ctx.actor, OFFICE, [c.code]), lead: holds(ctx.actor, ["lead officer"], [c.code]) },
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
    otherNames: otherNamesOf(values),
    signedAs: signedAs(values, shownName(loaded.facts)),
    governing: governingOf(loaded),
    underAge: underAgeOf(values, dayAt(office.zone, ctx.now.getTime()), loaded),
    cases,
    contacts: contactPlaces(loaded, extras.contactNotes),
    doubles,
    account,
    likenesses,
    values,
    shows: Object.fromEntries(
      assessment.requirements.map((r) => [resultKey(r), unconfirmed({ contexts: all, index }, r).map(answerKey)]),
    ),
    sections: [...sections.values()],
    reopenable: reopenable(loaded).map((place) => ({ ...place, title: titleAt(loaded, place) })),
    counting: countingPapers(all, office),
    ruleFields: ruleFields(loaded),
    documentRules: documentRules(loaded),
    writing,
    spent: spentOn(loaded.facts, assessment.file.stage, office, ctx.now),
    factTitles: factTitles(loaded, index, office),
    office: { ...registersOf(office.set), targets: office.set.targets },
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
    return rows[0] ? readFile(ctx, rows[0].id, scope) : null;
  },
  readings: (_, { number }) => [{ kind: "file opened", file: number }],
});
