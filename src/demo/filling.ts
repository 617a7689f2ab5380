import { randomUUID } from "node:crypto";
import type { Runtime } from "../acts/act/act";
import { requestReference } from "../acts/references/request-reference";
import { COMPLETE_FIELD } from "../core/answers/typed-facts";
import { assess } from "../core/assessment/assess";
import type { Json } from "../core/file/facts";
import type { Gap } from "../core/file/gap";
import type { LoadedFile } from "../core/file/loaded-file";
import { answerKey } from "../core/file/place";
import { gapsOf } from "../core/file/result";
import type { Actor } from "../core/rights/actor";
import type { Picture } from "../core/rulebook/requirement";
import { type Field, NO_LISTED, type Section } from "../core/rulebook/section";
import { countIn } from "../core/text/counting";
import { database } from "../db/connection";
import { loadFile } from "../db/queries/load-file";
import { currentOffice } from "../db/queries/office";
import { act, formOf, saveForm, supply } from "./applicant";
import { certificate, paper, passport, picture, transcript } from "./documents";
import { ownWords } from "./own-words";
import type { Profile } from "./profile";

/**
 * Fills any form, whatever its rulebook asks for: first what a profile says, then every gap that is left, as a person would who goes
 * through the list of what is missing.
 */
export type Told = Readonly<Record<string, Json>>;

const MOST_ROUNDS = 16;
const WORK = { employer: "Merrow Harbour Trust", role: "Deck hand", giver: "Halden Sound Foundation" } as const;

async function look(runtime: Runtime, applicationId: string) {
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

/** The profile's own words, more or fewer of them as the length that a statement asks for wants. */
function statement(profile: Profile, field: Field): string {
  const { unit, least = 0, most } = field.length ?? { unit: "words" as const, most: 400 };
  const name = [profile.given, profile.family].filter(Boolean).join(" ");
  let text = profile.motivation;
  for (let n = 10; countIn(unit, text) < least; n += 1) text = ownWords(name, profile.town, n);
  while (countIn(unit, text) > most) text = text.slice(0, Math.floor(text.length * 0.9));
  return text;
}

function dateFor(field: Field, profile: Profile): string {
  if (/birth/iu.test(field.key)) return profile.birthDate;
  if (/^(start|from)$/u.test(field.key)) return "2024-09-01";
  return /expir|until|valid/iu.test(field.key) ? profile.passportExpiry : "2026-06-15";
}

function number(field: Field): string {
  const least = field.least ?? 0;
  return String(Math.min(field.most ?? 12, Math.max(least, 12)));
}

/** A plausible answer to any field; what the story tells goes before. */
function answerTo(field: Field, profile: Profile, loaded: LoadedFile): Json {
  const name = [profile.given, profile.family].filter(Boolean).join(" ");
  switch (field.kind) {
    case "text":
      return WORK[field.key as keyof typeof WORK] ?? field.title.en;
    case "longText":
    case "statement":
      return statement(profile, field);
    case "name":
      return /signature/u.test(field.key) ? name : `Ada ${profile.family}`;
    case "date":
      return dateFor(field, profile);
    case "country":
      return profile.country;
    case "countries":
      return [...profile.citizenships];
    case "language":
      return "en";
    case "choice":
      return field.options?.[0]?.value ?? "";
    case "several":
      return (field.options ?? []).slice(0, Math.max(1, field.least ?? 1)).map((o) => o.value);
    case "ranked":
      return (field.options ?? []).slice(0, field.most ?? field.options?.length ?? 1).map((o) => o.value);
    case "yesNo":
      return false;
    case "whole":
    case "decimal":
      return field.key === "year" ? "2025" : number(field);
    case "money":
      return "1200";
    case "email":
      return `ada.${profile.email}`;
    case "phone":
      return "+353 1 555 0142";
    case "address":
      return { street: "12 Quay Street", town: profile.town, country: profile.country };
    case "links":
      return ["https://work.people.example/portfolio"];
    case "entry":
      return loaded.facts.answers.find((a) => a.section === field.of && a.entry !== "")?.entry ?? "";
    case "institution":
      return "Harbour Street School";
    case "scale":
      return profile.degree.scale;
    case "graduateOf":
      return NO_LISTED;
    case "area":
      return "natural";
    case "test":
      return "het";
    case "paper":
      return "passport";
    case "scores":
      return { L: "41", R: "43", W: "38", S: "40" };
    case "agree":
      return true;
  }
}

function changeFor(gap: Gap, loaded: LoadedFile, profile: Profile, told: Told) {
  const { scope, section: key } = gap;
  const section = sectionAt(loaded, scope, key);
  if (!section) throw new Error(`the demo's form has no ${key}`);
  const at = (entry: string, field: string, value: Json) => ({ scope, section: key, entry, field, value });
  if (gap.code === "say-complete") return at("", COMPLETE_FIELD, true);
  const field =
    gap.code === "too-few" ? section.fields.find((f) => f.required) : section.fields.find((f) => f.key === gap.field);
  if (!field) throw new Error(`the demo's form has no ${key}.${gap.field}`);
  const entry = gap.code === "too-few" ? randomUUID() : gap.entry;
  // The school that is answered stands in the register, in its country.
  const schools = field.kind === "country" && section.fields.some((f) => f.kind === "institution");
  return at(entry, field.key, told[`${key}.${field.key}`] ?? (schools ? "IE" : answerTo(field, profile, loaded)));
}

/** What the profile says, as far as this form asks for it. */
async function fillKnown(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  profile: Profile,
  told: Told,
): Promise<void> {
  const { loaded } = await look(runtime, applicationId);
  for (const section of formOf(profile).sections) {
    const asked = section.filter(({ section: key, field }) => {
      const own = sectionAt(loaded, "file", key);
      return own?.core === "referees"
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

/** Fills the form until nothing is missing in it. */
export async function fillAny(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  profile: Profile,
  told: Told,
  entries: Entries = {},
): Promise<void> {
  await fillKnown(runtime, actor, applicationId, profile, told);
  await addTold(runtime, actor, applicationId, told);
  await addEntries(runtime, actor, applicationId, entries);
  await nameReferees(runtime, actor, applicationId, profile);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const { loaded, assessment } = await look(runtime, applicationId);
    const gaps = assessment.requirements.flatMap((r) => (r.kind === "sections" ? r.gaps : []));
    const wrong = gaps.find((g) => g.code === "wrong");
    if (wrong) throw new Error(`the demo's answer to ${wrong.section}.${wrong.field} is wrong`);
    if (gaps.length === 0) return;
    const known = new Set<string>();
    const changes = gaps
      .map((gap) => changeFor(gap, loaded, profile, told))
      .filter((c) => {
        const place = answerKey(c);
        // An entry that another list will only hold after this round is named in the next.
        if (c.value === "" || known.has(place)) return false;
        known.add(place);
        return true;
      })
      .map((c) => ({ ...c, seen: 0 }));
    await saveForm(runtime, actor, applicationId, changes);
  }
  throw new Error(
    `the demo’s form was never full: ${JSON.stringify((await look(runtime, applicationId)).assessment.requirements.flatMap(gapsOf))}`,
  );
}

type Supplied = { readonly key: string; readonly entry: string; readonly title: { readonly en: string } };

/** The degree that a paper is about, and its courses, as they were typed. */
function typedDegree(profile: Profile, { facts }: LoadedFile, entry: string): Profile {
  const text = (section: string, id: string, field: string, usual: string) => {
    const value = facts.answers.find((a) => a.section === section && a.entry === id && a.field === field)?.value;
    return typeof value === "string" ? value : usual;
  };
  const { degree } = profile;
  const own = Object.fromEntries(
    Object.entries(degree).map(([field, usual]) => [field, text("education", entry, field, usual)]),
  ) as typeof degree; // field by field the same keys, each a text
  const ids = [...new Set(facts.answers.filter((a) => a.section === "courses" && a.entry !== "").map((a) => a.entry))];
  return {
    ...profile,
    degree: own,
    courses: ids
      .filter((id) => text("courses", id, "degree", entry) === entry)
      .map((id) => ({
        title: text("courses", id, "title", ""),
        credits: text("courses", id, "credits", ""),
        area: text("courses", id, "area", ""),
        status: text("courses", id, "status", "completed") === "completed" ? "completed" : "in progress",
        grade: text("courses", id, "grade", ""),
      })),
  };
}

/** The paper that a requirement asks for: what the demo knows how to print, else a sheet with its title. */
function paperFor({ key, entry, title }: Supplied, profile: Profile, loaded: LoadedFile, now: Date): Promise<Buffer> {
  switch (key) {
    case "passport":
      return passport(profile, now);
    case "certificate":
      return certificate(typedDegree(profile, loaded, entry), now);
    case "transcript":
      return transcript(typedDegree(profile, loaded, entry), now);
    default:
      return paper(title.en, profile, now);
  }
}

function pictureAsked({ rulebooks }: LoadedFile, key: string): Picture | undefined {
  const asked = Object.values(rulebooks)
    .flatMap((r) => r.body.requirements)
    .find((r) => r.key === key);
  return asked?.kind === "document" ? asked.picture : undefined;
}

/** Supplies a sheet for every document that is still missing, and asks every referee who is named. */
export async function supplyAny(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  profile: Profile,
): Promise<void> {
  const { assessment, loaded } = await look(runtime, applicationId);
  for (const r of assessment.requirements) {
    if (r.kind !== "document" || r.standing !== "missing") continue;
    const size = pictureAsked(loaded, r.key);
    const bytes = size ? await picture(size) : await paperFor(r, profile, loaded, runtime.now());
    await supply(
      runtime,
      actor,
      applicationId,
      r.key,
      r.entry,
      `${r.title.en}.${size ? "png" : "pdf"}`,
      bytes,
      r.scope,
    );
  }
  const referees = loaded.facts.answers.filter((a) => a.section === "referees" && a.entry !== "").map((a) => a.entry);
  for (const referee of new Set(referees)) await act(runtime, requestReference, actor, { applicationId, referee });
}
