import type { Json } from "../../core/file/facts";
import type { AnswerPlace } from "../../core/file/place";
import type { FormSection } from "../../core/form/form-sections";
import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import type { FieldState } from "./autosave.client";
import type { LookForLikeness } from "./likeness-note.client";

/** What every field of a section needs to know of the form around it. */
export interface FieldContext {
  readonly section: FormSection;
  readonly locale: Locale;
  readonly office: Registers;
  /** The latest first day of study among the choices; null while nothing is chosen. */
  readonly starts: string | null;
  /** The applicant's name as it stands in the form; "" while unknown. */
  readonly legalName: string;
  readonly values: Readonly<Record<string, Json>>;
  /** The values with which fields were left: those are judged, not what is still being typed. */
  readonly left: Readonly<Record<string, Json>>;
  readonly stateOf: (key: string) => FieldState;
  readonly set: (place: AnswerPlace, value: Json) => void;
  readonly leave: (place: AnswerPlace, value: Json) => void;
  readonly resolve: (place: AnswerPlace, value: Json, keepMine: boolean) => void;
  /** What was typed there and will never be saved is done with. */
  readonly letGo: (place: AnswerPlace) => void;
  /** Holds a statement against those that others handed in; null where nothing is handed in. */
  readonly look: LookForLikeness | null;
}
