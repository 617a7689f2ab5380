import type { Json } from "../../../core/file/facts";
import type { FormSection } from "../../../core/form/form-sections";
import type { Field } from "../../../core/rulebook/section";
import type { Registers } from "../../../core/standards/reference-set";
import type { Locale } from "../../../core/text/local-text";

/** One input for each kind of field. `onLeave` is called with the value as soon as the person is done with it. */
export interface FieldInputProps {
  readonly id: string;
  readonly field: Field;
  readonly value: Json;
  readonly locale: Locale;
  readonly office: Registers;
  /** Entries of other sections that the field may name. */
  readonly named: FormSection["named"];
  /** Values that other entries of the list have taken. */
  readonly taken: ReadonlySet<string>;
  readonly test: string | null;
  readonly disabled: boolean;
  readonly invalid: boolean;
  readonly describedBy: string | undefined;
  readonly onChange: (value: Json) => void;
  readonly onLeave: (value: Json) => void;
  /** The country that stands beside an institution or a scale, if any. */
  readonly country?: string | null;
  /** The institution that stands beside a scale, if any. */
  readonly institution?: string | null;
  /** Fills what is still empty beside this field: values by the key of a field. */
  readonly onProposal?: (proposal: Readonly<Record<string, Json>>) => void;
}
