import { type ContactNote, type ContactState, contactState } from "../../core/contact/contact-notes";
import { type ContactPlace as Place, placesOf } from "../../core/contact/places";
import type { LoadedFile } from "../../core/file/loaded-file";

/** A number or an address of an application, with whether it holds. */
export type ContactPlace = Place & ContactState;

/** Where the person of a file is reached, in the order of the form. */
export function contactPlaces(
  { facts, rulebooks }: LoadedFile,
  notes: readonly ContactNote[],
): readonly ContactPlace[] {
  const sections = new Map(Object.values(rulebooks).flatMap((r) => r.body.sections.map((s) => [s.key, s])));
  return placesOf([...sections.values()], facts.answers).map((place) => ({ ...place, ...contactState(notes, place) }));
}

/** The notes of a file as JSON, for a statement in which `a` is the application. */
export const REACH_NOTES = `coalesce((select json_agg(json_build_object('scope', n.scope, 'section', n.section, 'entry', n.entry, 'field', n.field,
  'version', n.version, 'kind', n.kind, 'text', n.text, 'at', to_char(n.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'by', w.name) order by n.at)
  from contact_note n left join person w on w.id = n.by_id where n.application_id = a.id), '[]')`;
