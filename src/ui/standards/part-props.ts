import type { KnownFact } from "../../core/rulebook/facts";
import type { ReferenceSet } from "../../core/standards/reference-set";

export interface PartProps {
  readonly set: ReferenceSet;
  readonly facts: readonly KnownFact[];
  readonly disabled: boolean;
  readonly onChange: (next: ReferenceSet) => void;
}
