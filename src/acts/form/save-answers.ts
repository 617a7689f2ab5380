import { dequal } from "dequal";
import { and, eq, inArray, max } from "drizzle-orm";
import { z } from "zod";
import { anyAnswer, isTooLong } from "../../core/answers/answer-value";
import { checkValue } from "../../core/answers/check-value";
import { mayChange, reopenedOf } from "../../core/answers/lock";
import { COMPLETE_FIELD } from "../../core/answers/typed-facts";
import { withAnswers } from "../../core/answers/with-answers";
import type { Json } from "../../core/file/facts";
import { answerKey, sectionKey } from "../../core/file/place";
import { gapsOf } from "../../core/file/result";
import { type FormSection, formSections } from "../../core/form/form-sections";
import { type PartState, partStates } from "../../core/form/part-states";
import type { SaveRefusal, SaveResult } from "../../core/form/save-result";
import type { Field, Section } from "../../core/rulebook/section";
import type { Settled } from "../../core/settlement/settle";
import type { Office } from "../../core/standards/reference-set";
import { isUnreadable } from "../../core/text/readable";
import { enqueue } from "../../db/queue";
import { answerVersion } from "../../db/schema";
import { type ActContext, done } from "../act/act";
import { defineFileAct, type OpenFile } from "../act/file-act";
import { namedBeside } from "./named-beside";
import { storeAnswers, takeOutEntry } from "./store-answers";

const placeSchema = {
  scope: z.string().max(40),
  section: z.string().max(60),
  entry: z.string().max(40),
  field: z.string().max(60),
};

const input = z.object({
  applicationId: z.uuid(),
  changes: z
    .array(
      z.object({
        ...placeSchema,
        value: anyAnswer,
        /** The version that the writer saw; 0 for a field that was empty. */
        seen: z.int().min(0),
      }),
    )
    .max(2000)
    .default([]),
  removed: z
    .array(z.object({ scope: placeSchema.scope, section: placeSchema.section, entry: z.string().min(1).max(40) }))
    .max(200)
    .default([]),
  /** The sections on the page that asks, as `scope|section`: only these come back. */
  page: z.array(z.string().max(101)).max(100).default([]),
});

type Change = z.output<typeof input>["changes"][number];

/** For each change how it went, for each entry whether it was taken out, and the sections of the page as they are now. */
interface Saved {
  readonly results: readonly SaveResult[];
  readonly removals: readonly boolean[];
  readonly savedAt: string;
  readonly sections: readonly FormSection[];
  /** Every section as the list of parts shows it: an answer may open or close another page. */
  readonly parts: readonly PartState[];
}

const refused = (why: SaveRefusal): SaveResult => ({ state: "refused", why });

/** What is wrong with a value whatever field it is for. */
const unfit = (value: Json): SaveRefusal | null =>
  isTooLong(value) ? "too-long" : isUnreadable(value) ? "unreadable" : null;

interface Target {
  readonly section: Section;
  readonly field: Field | null;
  /** How many entries the list takes, by whichever of the choices takes most; null outside lists. */
  readonly most: number | null;
}

function sectionsAt(file: OpenFile, change: Pick<Change, "scope" | "section">): readonly Section[] {
  return file.facts.choices
    .filter((choice) => change.scope === "file" || change.scope === choice.id)
    .flatMap(
      (choice) =>
        file.rulebooks[choice.rulebookId]?.body.sections.find(
          (s) => s.key === change.section && (s.scope === "file") === (change.scope === "file"),
        ) ?? [],
    );
}

/** Where a change goes: a field of an entry in a list, one outside lists, or the word that a list is whole. */
function findTarget(file: OpenFile, change: Pick<Change, "scope" | "section" | "entry" | "field">): Target | null {
  const sections = sectionsAt(file, change);
  for (const section of sections) {
    const inList = section.repeats !== undefined;
    const field = section.fields.find((f) => f.key === change.field && !f.byOffice) ?? null;
    const ofList = inList && change.entry === "" && change.field === COMPLETE_FIELD;
    if (!ofList && (field === null || inList === (change.entry === ""))) continue;
    const most = inList ? Math.max(...sections.map((s) => s.repeats?.max ?? 0)) : null;
    return { section, field, most };
  }
  return null;
}

function usedBy(file: OpenFile, section: string) {
  return file.facts.choices.filter((c) => file.rulebooks[c.rulebookId]?.body.sections.some((s) => s.key === section));
}

function reopenedAt(file: OpenFile, place: { scope: string; section: string }) {
  const missing = () =>
    file.assessment.requirements.some((r) =>
      gapsOf(r).some((g) => g.scope === place.scope && g.section === place.section),
    );
  return file.facts.reopenings.length === 0 ? "none" : reopenedOf(file.facts, place, missing());
}

interface Stored {
  readonly version: number;
  readonly value: Json;
}

/** What stands in the form, answers that sleep included, and the last version of places that were emptied: removed entries come back. */
interface FormState {
  readonly stored: ReadonlyMap<string, Stored>;
  /** The entries of each list, those that come with these changes included. */
  readonly entries: Map<string, Set<string>>;
  readonly former: ReadonlyMap<string, number>;
}

function entriesOf(all: Map<string, Set<string>>, list: Pick<Change, "scope" | "section">): Set<string> {
  const known = all.get(sectionKey(list)) ?? new Set();
  all.set(sectionKey(list), known);
  return known;
}

/** Whether an entry has room in its list; one that is there already has. */
function hasRoom({ entries }: FormState, change: Change, most: number | null): boolean {
  if (change.entry === "" || most === null) return true;
  const known = entriesOf(entries, change);
  if (!known.has(change.entry) && known.size >= most) return false;
  known.add(change.entry);
  return true;
}

async function formState(ctx: ActContext, file: OpenFile, changes: readonly Change[]): Promise<FormState> {
  const stored = new Map(
    [...file.facts.answers, ...file.asleep].map((a) => [answerKey(a), { version: a.version, value: a.value }]),
  );
  const entries = new Map<string, Set<string>>();
  for (const { scope, section, entry } of [...file.facts.answers, ...file.asleep])
    if (entry !== "") entriesOf(entries, { scope, section }).add(entry);
  const fresh = changes.filter((c) => !stored.has(answerKey(c)));
  if (fresh.length === 0) return { stored, entries, former: new Map() };
  const former = await ctx.db
    .select({
      scope: answerVersion.scope,
      section: answerVersion.section,
      entry: answerVersion.entry,
      field: answerVersion.field,
      version: max(answerVersion.version),
    })
    .from(answerVersion)
    .where(
      and(
        eq(answerVersion.applicationId, file.id),
        inArray(answerVersion.section, [...new Set(fresh.map((c) => c.section))]),
        inArray(answerVersion.entry, [...new Set(fresh.map((c) => c.entry))]),
      ),
    )
    .groupBy(answerVersion.scope, answerVersion.section, answerVersion.entry, answerVersion.field);
  return { stored, entries, former: new Map(former.map((row) => [answerKey(row), row.version ?? 0])) };
}

interface Write extends Change {
  readonly version: number;
}

/** Judges one change; a write is added only where something new is to be stored. */
function judge(
  file: OpenFile,
  state: FormState,
  changes: readonly Change[],
  change: Change,
  writes: Map<string, Write>,
): SaveResult {
  const target = findTarget(file, change);
  if (!target) return refused("unknown");
  const place = answerKey(change);
  const current = state.stored.get(place);
  const empty = current === undefined || current.value === null || current.value === "";
  const grows = target.section.grows === true;
  if (!mayChange(change.scope, usedBy(file, change.section), empty, reopenedAt(file, change), grows))
    return refused("locked");
  const unfitting = unfit(change.value);
  if (unfitting) return refused(unfitting);
  if (!hasRoom(state, change, target.most)) return refused("too-many");
  const issue = target.field
    ? checkValue(
        target.field,
        file.office.set,
        change.value,
        namedBeside(target.field, change, changes, file.facts.answers),
      )
    : null;
  if (current && dequal(current.value, change.value)) return { state: "saved", version: current.version, issue };
  // Somebody wrote here since this writer looked: neither of the two values is thrown away, the person decides.
  if (current && current.version > change.seen)
    return { state: "conflict", version: current.version, value: current.value };
  const version = (current?.version ?? state.former.get(place) ?? 0) + 1;
  writes.set(place, { ...change, version });
  return { state: "saved", version, issue };
}

/** The sections that the page shows which asked, and how all of them stand, once everything that follows is settled. */
function formOf({ file, assessment, prepared }: Settled, office: Office, page: readonly string[]) {
  const live = prepared.all.filter((c) => c.choice.withdrawnAt === null);
  const shown = live.length > 0 ? live : prepared.all;
  const gaps = assessment.requirements.flatMap(gapsOf);
  const onPage = ({ scope, key }: { scope: string; key: string }) => page.includes(sectionKey({ scope, section: key }));
  return {
    sections: formSections(prepared.index, shown, gaps, file.facts, office.set, onPage),
    parts: partStates(shown, gaps),
  };
}

/**
 * Saves fields of the form as they are left, each by itself: what cannot be taken is named, and keeps nothing else from being saved. Gaps
 * and wrong values are kept, so nothing typed is lost; what is wrong with a value comes back beside it. A field that changed in another
 * window is not overwritten: both values come back.
 */
export const saveAnswers = defineFileAct({
  name: "save-answers",
  takesAnyText: true,
  input,
  right: "applicant",
  about: ({ changes, removed }) => ({
    fields: [...new Set(changes.map((c) => `${c.section}.${c.field}`))].slice(0, 40),
    removed: removed.map((r) => `${r.section}/${r.entry}`),
  }),
  run: async (ctx, file, { changes, removed }) => {
    const writes = new Map<string, Write>();
    const state = await formState(ctx, file, changes);
    const results = changes.map((change) => judge(file, state, changes, change, writes));
    const written = await storeAnswers(ctx, file, [...writes.values()]);
    // Results that come later are looked for in the lists of their owners, too.
    const later = file.facts.choices.some((c) => c.submittedAt !== null);
    if (later && [...writes.values()].some((w) => findTarget(file, w)?.section.core === "tests"))
      await enqueue(ctx.boss, ctx.client, "match-results", { applicationId: file.id });
    const gone = removed.filter((place) =>
      mayChange(place.scope, usedBy(file, place.section), false, reopenedAt(file, place)),
    );
    for (const place of gone) await takeOutEntry(ctx, file.id, place);
    file.after = withAnswers(file, written, gone);
    const removals = removed.map((place) => gone.includes(place));
    return done<Saved>({ results, removals, savedAt: ctx.now.toISOString(), sections: [], parts: [] });
  },
  answer: (settled, saved, { page }, office) => ({ ...saved, ...formOf(settled, office, page) }),
});
