import type { CORE_KINDS, Field, Section } from "./section";

type CoreKind = (typeof CORE_KINDS)[number];

const asked = (key: string, kind: Field["kind"], en: string, fr: string, more: Partial<Field> = {}): Field => ({
  key,
  kind,
  title: { en, fr },
  required: true,
  seenBy: "assessment",
  ...more,
});

/** What a section of a kind cannot be without: what is done with its entries is done by these names. */
const CORE_FIELDS: Readonly<Partial<Record<CoreKind, readonly Field[]>>> = {
  referees: [
    asked("name", "name", "Name", "Nom", { most: 150 }),
    asked("email", "email", "E-mail at the institution", "Courriel à l’établissement", { most: 200 }),
    asked("role", "choice", "Role", "Rôle", {
      options: [{ value: "academic", title: { en: "Taught me at a university", fr: "M’a enseigné à l’université" } }],
    }),
  ],
  tests: [
    asked("test", "test", "Test", "Test"),
    asked("date", "date", "Day of the test", "Jour du test"),
    asked("scores", "scores", "Scores", "Scores"),
  ],
};

/** The fields that belong to the kind of a section: none of its own making. */
export const coreFieldsOf = ({ core }: Pick<Section, "core">): readonly Field[] =>
  core === null ? [] : (CORE_FIELDS[core] ?? []);

/** Whether a field belongs to the kind of its section: its short name and its kind stay as they are. */
export const isCoreField = (section: Pick<Section, "core">, key: string): boolean =>
  coreFieldsOf(section).some((f) => f.key === key);

/** A section with every field that its kind needs; those that are there stay as they are. */
export function withCoreFields(section: Section): Section {
  const lacking = coreFieldsOf(section).filter((f) => !section.fields.some((own) => own.key === f.key));
  return lacking.length === 0 ? section : { ...section, fields: [...section.fields, ...lacking] };
}

/** What its kind needs and a section has not, or has as something else. */
export const lackingCoreFields = (section: Section): readonly Field[] =>
  coreFieldsOf(section).filter((f) => !section.fields.some((own) => own.key === f.key && own.kind === f.kind));
