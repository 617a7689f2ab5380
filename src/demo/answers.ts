import { NOT_KNOWN } from "../core/answers/not-known";
import type { Json } from "../core/file/facts";
import type { LoadedFile } from "../core/file/loaded-file";
import { type Field, NO_LISTED } from "../core/rulebook/section";
import { countIn } from "../core/text/counting";
import { ownWords } from "./own-words";
import type { Picker } from "./picker";
import type { Profile } from "./profile";

/** What an invented applicant answers to any field, whatever its rulebook asks for. */
const WORK = { employer: "Merrow Harbour Trust", role: "Deck hand", giver: "Halden Sound Foundation" } as const;

/** The profile's own words, more or fewer of them as the length that a statement asks for wants. */
function statement(profile: Profile, field: Field): string {
  const { unit, least = 0, most } = field.length ?? { unit: "words" as const, most: 400 };
  const name = [profile.given, profile.family].filter(Boolean).join(" ");
  let text = profile.motivation;
  for (let n = 10; countIn(unit, text) < least; n += 1) text = ownWords(name, profile.town, n);
  while (countIn(unit, text) > most) text = text.slice(0, Math.floor(text.length * 0.9));
  return text;
}

function dateFor(field: Field, profile: Profile, soon: boolean): string {
  if (/birth/iu.test(field.key)) return profile.birthDate;
  if (/^(start|from)$/u.test(field.key)) return "2024-09-01";
  if (soon && field.key === "to") return "2025-01-31";
  return /expir|until|valid/iu.test(field.key) ? profile.passportExpiry : "2026-06-15";
}

function number(field: Field): string {
  const least = field.least ?? 0;
  return String(Math.min(field.most ?? 12, Math.max(least, 12)));
}

/** The options of a field; where no value may stand in a list twice, those that no entry has yet. */
function unused(section: string, field: Field, { facts }: LoadedFile): NonNullable<Field["options"]> {
  const options = field.options ?? [];
  if (!field.once) return options;
  const taken = facts.answers.filter((a) => a.section === section && a.field === field.key).map((a) => a.value);
  return options.filter((o) => !taken.includes(o.value));
}

/** A plausible answer to any field of a section; what the story tells goes before. */
export function answerTo(section: string, field: Field, profile: Profile, loaded: LoadedFile, pick: Picker): Json {
  const at = `${section}.${field.key}`;
  if (field.mayBeUnknown && pick.yes(`${at} is beyond them`)) return NOT_KNOWN;
  const name = [profile.given, profile.family].filter(Boolean).join(" ");
  switch (field.kind) {
    case "text":
      return WORK[field.key as keyof typeof WORK] ?? field.title.en.slice(0, field.most);
    case "longText":
      return statement(profile, field).slice(0, field.most);
    case "statement":
      return statement(profile, field);
    case "name":
      return /signature/u.test(field.key) ? name : `Ada ${profile.family}`;
    case "date":
      return dateFor(field, profile, pick.yes(`${at} is soon`));
    case "country":
      return profile.country;
    case "countries":
      return [...profile.citizenships];
    case "language":
      return "en";
    case "choice":
      return pick.one(at, unused(section, field, loaded))?.value ?? "";
    case "several":
      return pick.some(at, field.options ?? [], Math.max(1, field.least ?? 1)).map((o) => o.value);
    case "ranked":
      return pick
        .inOrder(at, field.options ?? [])
        .slice(0, field.most ?? field.options?.length ?? 1)
        .map((o) => o.value);
    case "yesNo":
      return pick.yes(at);
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
      return pick.one(at, [profile.degree.scale, "other"]) ?? "";
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
