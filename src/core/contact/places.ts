import type { AnswerFact, Json } from "../file/facts";
import type { Field, Section } from "../rulebook/section";
import type { LocalText } from "../text/local-text";
import type { ContactNote } from "./contact-notes";

/** The address of a contact section stands in fields of its own; notes on it are kept with the first. */
export const ADDRESS_PARTS = ["street", "postcode", "town", "country"] as const;
const [STREET] = ADDRESS_PARTS;
const ADDRESS: LocalText = { en: "Address", fr: "Adresse" };

/** A number or an address that somebody gave, with what it is for. */
export interface ContactPlace extends Pick<ContactNote, "scope" | "section" | "entry" | "field" | "version"> {
  readonly kind: "phone" | "address";
  /** The title of the section: what it is for. */
  readonly purpose: LocalText;
  readonly title: LocalText;
  /** Whether letters go to this address: the one that the rulebook marks, else that of the contact section. */
  readonly letters: boolean;
  /** A number as text, an address by its parts. */
  readonly value: Json;
}

type Found = Omit<ContactPlace, "letters"> & { readonly marked: boolean; readonly contact: boolean };
type Answers = readonly AnswerFact[];

const isGiven = ({ value }: AnswerFact): boolean => value !== null && value !== "";

/** The parts of a contact address; the version grows with each of them. */
function contactAddress(section: Section, answers: Answers): Found | null {
  const parts = answers.filter(
    (a) => a.section === section.key && a.entry === "" && ADDRESS_PARTS.some((part) => part === a.field) && isGiven(a),
  );
  const street = parts.find((a) => a.field === STREET);
  if (!street) return null;
  return {
    scope: street.scope,
    section: section.key,
    entry: "",
    field: STREET,
    version: parts.reduce((sum, a) => sum + a.version, 0),
    kind: "address",
    purpose: section.title,
    title: ADDRESS,
    marked: false,
    contact: true,
    value: Object.fromEntries(parts.map((a) => [a.field, a.value])),
  };
}

/** “The same as” is said by the address that it is the same as. */
function shownValue(field: Field, value: Json, sections: readonly Section[], answers: Answers): Json {
  const same = typeof value === "object" && value !== null && "same" in value && value.same === true;
  const other = same ? sections.find((s) => s.key === field.sameAs?.split(".")[0]) : undefined;
  return (other && contactAddress(other, answers)?.value) ?? value;
}

/** Everything at which somebody is reached, in the order of the form. */
export function placesOf(sections: readonly Section[], answers: Answers): readonly ContactPlace[] {
  const found = sections.flatMap((section): readonly Found[] => {
    const plain = section.fields.flatMap((field) => {
      const { kind } = field;
      if (kind !== "phone" && kind !== "address") return [];
      return answers
        .filter((a) => a.section === section.key && a.field === field.key && isGiven(a))
        .map(
          ({ scope, entry, version, value }): Found => ({
            scope,
            section: section.key,
            entry,
            field: field.key,
            version,
            kind,
            purpose: section.title,
            title: field.title,
            marked: kind === "address" && field.forLetters === true,
            contact: kind === "address" && section.core === "contact",
            value: shownValue(field, value, sections, answers),
          }),
        );
    });
    const address = section.core === "contact" ? contactAddress(section, answers) : null;
    return address ? [...plain, address] : plain;
  });
  const letters = found.find((p) => p.marked) ?? found.find((p) => p.contact);
  return found.map((place) => {
    const { marked: _marked, contact: _contact, ...plain } = place;
    return { ...plain, letters: place === letters };
  });
}
