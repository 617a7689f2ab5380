import type { Json } from "../../core/file/facts";
import type { FormSection } from "../../core/form/form-sections";
import type { Registers } from "../../core/standards/reference-set";
import type { Locale } from "../../core/text/local-text";
import type { FieldState } from "./autosave.client";
import type { LookForLikeness } from "./likeness-note.client";
import type { Place } from "./unsent";

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
  readonly set: (place: Place, value: Json) => void;
  readonly leave: (place: Place, value: Json) => void;
  readonly resolve: (place: Place, value: Json, keepMine: boolean) => void;
  /** What was typed there and will never be saved is done with. */
  readonly letGo: (place: Place) => void;
  /** Holds a statement against those that others handed in; null where nothing is handed in. */
  readonly look: LookForLikeness | null;
}
