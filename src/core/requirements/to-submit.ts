import type { RequirementResult } from "../file/result";

/** Whether a standing is enough to submit with. */
export function enoughToSubmit(result: RequirementResult): boolean {
  if (result.toSubmit === null) return true;
  switch (result.standing) {
    case "accepted":
    case "excused":
    case "not needed":
      return true;
    case "to check":
      return result.toSubmit !== "accepted";
    case "promised":
      // Lines that a registry still has to give keep nobody from submitting another choice.
      return result.toSubmit === "promised" || result.kind === "sections";
    case "missing":
    case "returned":
      return false;
  }
}

/** Whether nothing more is to come for a requirement. */
export function isSettled(result: RequirementResult): boolean {
  return result.standing === "accepted" || result.standing === "excused" || result.standing === "not needed";
}
