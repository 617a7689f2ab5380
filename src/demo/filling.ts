import { randomUUID } from "node:crypto";
import type { Runtime } from "../acts/act/act";
import { AnswerIndex } from "../core/answers/answer-index";
import { COMPLETE_FIELD } from "../core/answers/typed-facts";
import { assess } from "../core/assessment/assess";
import { contexts } from "../core/assessment/context";
import type { Json } from "../core/file/facts";
import type { Gap } from "../core/file/gap";
import type { LoadedFile } from "../core/file/loaded-file";
import { answerKey } from "../core/file/place";
import { gapsOf } from "../core/file/result";
import { type FormSection, formSections } from "../core/form/form-sections";
import type { Actor } from "../core/rights/actor";
import type { Section } from "../core/rulebook/section";
import { database } from "../db/connection";
import { loadFile } from "../db/queries/load-file";
import { currentOffice } from "../db/queries/office";
import { answerTo } from "./answers";
import { formOf, saveForm } from "./applicant";
import { type Picker, PLAIN } from "./picker";
import type { Profile } from "./profile";

/**
 * Fills any form, whatever its rulebook asks for: first what a profile says, then every gap that is left, as a person would who goes
 * through the list of what is missing.
 */
export type Told = Readonly<Record<string, Json>>;

const MOST_ROUNDS = 16;
/** Sections of a profile that whoever answers by chance may answer otherwise. */
const CHOSEN = ["english", "tests", "education", "courses"];

export async function look(runtime: Runtime, applicationId: string) {
  const loaded = await loadFile(runtime.pool, applicationId);
  if (!loaded) throw new Error("the demo's file went away");
  const office = await currentOffice(database(runtime.pool));
  return { loaded, office, assessment: assess({ ...loaded, office, at: runtime.now().getTime() }) };
}

function sectionAt({ facts, rulebooks }: LoadedFile, scope: string, key: string): Section | undefined {
  return facts.choices
    .filter((c) => scope === "file" || c.id === scope)
    .flatMap((c) => rulebooks[c.rulebookId]?.body.sections ?? [])
    .find((s) => s.key === key && (s.scope === "file") === (scope === "file"));
}

/** Who answers, what their story tells, and how they choose where it tells nothing. */
interface Teller {
  readonly profile: Profile;
  readonly told: Told;
  readonly pick: Picker;
}

type Lack = Pick<Gap, "scope" | "section" | "entry" | "field" | "code">;

function changeFor(gap: Lack, loaded: LoadedFile, { profile, told, pick }: Teller) {
  const { scope, section: key } = gap;
  const section = sectionAt(loaded, scope, key);
  if (!section) throw new Error(`the demo's form has no ${key}`);
  const at = (entry: string, field: string, value: Json) => ({ scope, section: key, entry, field, value, seen: 0 });
  if (gap.code === "say-complete") return at("", COMPLETE_FIELD, true);
  const field =
    gap.code === "too-few" ? section.fields.find((f) => f.required) : section.fields.find((f) => f.key === gap.field);
  if (!field) throw new Error(`the demo's form has no ${key}.${gap.field}`);
  const entry = gap.code === "too-few" ? randomUUID() : gap.entry;
  // The school that is answered stands in the register, in its country.
  const schools = field.kind === "country" && section.fields.some((f) => f.kind === "institution");
  return at(
    entry,
    field.key,
    told[`${key}.${field.key}`] ?? (schools ? "IE" : answerTo(key, field, profile, loaded, pick)),
  );
}

/** What nobody has to answer, and has not: fields that are asked all the same, and a first entry of lists that may stay empty. */
function leftOpen(section: FormSection, pick: Picker): readonly Lack[] {
  const { key, scope, repeats, entries, fields } = section;
  const lack = (entry: string, field: string, code: Lack["code"]): Lack => ({
    scope,
    section: key,
    entry,
    field,
    code,
  });
  // Referees are named one for each letter that is asked for.
  const mayHaveTwo =
    section.core !== "referees" && repeats !== null && repeats.max > 1 && entries.length === 1 && !section.complete;
  const empty = repeats !== null && entries.length === 0 && !section.complete;
  return [
    ...(empty && pick.yes(`${key} has entries`) ? [lack("", "entry", "too-few")] : []),
    ...(mayHaveTwo && pick.yes(`${key} has two entries`) ? [lack("", "entry", "too-few")] : []),
    ...entries.flatMap(({ id, values, shown }) =>
      fields
        .filter((f) => shown.includes(f.key) && values[f.key] === undefined)
        .filter((f) => f.required || pick.yes(`${key}.${f.key} is given`))
        .map((f) => lack(id, f.key, "missing")),
    ),
  ];
}

const isOnce = (loaded: LoadedFile, { scope, section, field }: Pick<Lack, "scope" | "section" | "field">): boolean =>
  sectionAt(loaded, scope, section)?.fields.find((f) => f.key === field)?.once !== undefined;

/** All that is asked and has no answer yet; what has to be answered comes first. */
async function openQuestions(runtime: Runtime, applicationId: string, pick: Picker) {
  const { loaded, office, assessment } = await look(runtime, applicationId);
  const gaps = assessment.requirements.flatMap((r) => (r.kind === "sections" ? r.gaps : []));
  if (!pick.inFull) return { loaded, gaps };
  const { facts, rulebooks, rounds } = loaded;
  const index = new AnswerIndex(facts);
  const all = contexts(facts, index, rulebooks, rounds, office, runtime.now().getTime());
  const asked = formSections(index, all, gaps, facts, office.set).filter((s) => s.applies);
  return { loaded, gaps: [...asked.flatMap((s) => leftOpen(s, pick)), ...gaps] };
}

/** What the profile says, as far as this form asks for it. */
async function fillKnown(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  profile: Profile,
  told: Told,
  leaveOut: readonly string[],
): Promise<void> {
  const { loaded } = await look(runtime, applicationId);
  for (const section of formOf(profile).sections) {
    const asked = section.filter(({ section: key, field }) => {
      const own = sectionAt(loaded, "file", key);
      return own?.core === "referees" || leaveOut.includes(key)
        ? false
        : own?.fields.some((f) => f.key === field) || (own?.repeats && field === COMPLETE_FIELD);
    });
    const changes = asked.map((c) => ({ ...c, value: told[`${c.section}.${c.field}`] ?? c.value }));
    if (changes.length > 0) await saveForm(runtime, actor, applicationId, changes);
  }
}

/** What a story tells beyond what its profile says: answers that nobody has to give. */
async function addTold(runtime: Runtime, actor: Actor, applicationId: string, told: Told): Promise<void> {
  const { loaded } = await look(runtime, applicationId);
  const changes = Object.entries(told).flatMap(([place, value]) => {
    const [key = "", field = ""] = place.split(".");
    const section = sectionAt(loaded, "file", key);
    const asked = section && !section.repeats && section.fields.some((f) => f.key === field);
    const given = loaded.facts.answers.some((a) => a.section === key && a.field === field);
    return asked && !given ? [{ scope: "file", section: key, entry: "", field, value, seen: 0 }] : [];
  });
  if (changes.length > 0) await saveForm(runtime, actor, applicationId, changes);
}

const REFEREES = ["Prof. Hester Aldous", "Cormac Ruane", "Dr. Ines Falkenrath"] as const;

/** As many referees as the references need, each of the role that is asked for. */
async function nameReferees(runtime: Runtime, actor: Actor, applicationId: string, profile: Profile): Promise<void> {
  const { loaded } = await look(runtime, applicationId);
  const bodies = loaded.facts.choices.flatMap((c) => loaded.rulebooks[c.rulebookId]?.body ?? []);
  const section = bodies.flatMap((b) => b.sections).find((s) => s.core === "referees");
  if (!section) return;
  const roles = bodies.flatMap((b) =>
    b.requirements.flatMap((r) => (r.kind === "reference" ? Array.from({ length: r.count }, () => r.role) : [])),
  );
  const options = section.fields.find((f) => f.key === "role")?.options ?? [];
  const changes = roles.flatMap((role, i) => {
    const entry = randomUUID();
    const fields = {
      name: REFEREES[i % REFEREES.length] ?? "",
      email: `referee.${i + 1}.${profile.email}`,
      institution: "Harbour Street School",
      role: role === "any" ? (options.at(-1)?.value ?? "") : role,
    };
    return Object.entries(fields).map(([field, value]) => ({
      scope: "file",
      section: section.key,
      entry,
      field,
      value,
      seen: 0,
    }));
  });
  await saveForm(runtime, actor, applicationId, changes);
}

/** Entries that a story tells whole. */
type Entries = Readonly<Record<string, readonly Readonly<Record<string, Json>>[]>>;

async function addEntries(runtime: Runtime, actor: Actor, applicationId: string, entries: Entries): Promise<void> {
  const changes = Object.entries(entries).flatMap(([section, list]) =>
    list.flatMap(({ id, ...fields }) => {
      // Entries that others name bring their id.
      const entry = typeof id === "string" ? id : randomUUID();
      return Object.entries(fields).map(([field, value]) => ({ scope: "file", section, entry, field, value, seen: 0 }));
    }),
  );
  if (changes.length > 0) await saveForm(runtime, actor, applicationId, changes);
}

/**
 * Fills the form until nothing is missing in it.
 * @param pick how answers are chosen of which the story tells nothing; a seeded one answers in full
 */
export async function fillAny(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  profile: Profile,
  told: Told,
  entries: Entries = {},
  pick: Picker = PLAIN,
): Promise<void> {
  await fillKnown(
    runtime,
    actor,
    applicationId,
    profile,
    told,
    pick.inFull ? CHOSEN.filter((key) => !pick.yes(`${key} as told`)) : [],
  );
  await addTold(runtime, actor, applicationId, told);
  await addEntries(runtime, actor, applicationId, entries);
  await nameReferees(runtime, actor, applicationId, profile);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const { loaded, gaps } = await openQuestions(runtime, applicationId, pick);
    const wrong = gaps.find((g) => g.code === "wrong");
    if (wrong) throw new Error(`the demo's answer to ${wrong.section}.${wrong.field} is wrong`);
    const known = new Set<string>();
    const changes = gaps
      .map((gap) => changeFor(gap, loaded, { profile, told, pick }))
      .filter((c) => {
        const place = answerKey(c);
        // An entry that another list will only hold after this round is named in the next, and of what may stand in a list once, one a round.
        const taken = isOnce(loaded, c) ? `${c.section}.${c.field}` : place;
        if (c.value === "" || known.has(place) || known.has(taken)) return false;
        known.add(taken);
        known.add(place);
        return true;
      });
    if (changes.length === 0) break;
    await saveForm(runtime, actor, applicationId, changes);
  }
  const left = (await look(runtime, applicationId)).assessment.requirements.flatMap(gapsOf);
  if (left.length > 0) throw new Error(`the demo’s form was never full: ${JSON.stringify(left)}`);
}
