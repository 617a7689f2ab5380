import { type IntakeInput, offeredOptions, type Track } from "../../core/catalogue/programme";
import type { Mode } from "../../core/file/mode";

interface Named {
  readonly key: string;
  readonly title: string;
}

/** What a choice is, and what it could be, by key and with the words for the office. */
export interface ChoiceOffer {
  readonly campuses: readonly Named[];
  readonly modes: readonly Named[];
  readonly tracks: readonly Named[];
  readonly now: { readonly campus: string | null; readonly mode: Mode | null; readonly track: string | null };
}

/** The plan of the start that was chosen, as a query brings it. */
export interface PlannedChoice {
  readonly plan: {
    readonly campuses: readonly string[];
    readonly modes: readonly Mode[];
    readonly tracks: readonly Track[];
    readonly options: IntakeInput["options"];
    readonly track: string | null;
  };
}

export function choiceOffer(
  plan: PlannedChoice["plan"],
  now: { readonly campus: string | null; readonly mode: Mode | null },
  campusTitle: (key: string) => string,
): ChoiceOffer {
  const { campuses, modes, tracks } = offeredOptions(plan, plan);
  return {
    campuses: campuses.map((key) => ({ key, title: campusTitle(key) })),
    modes: modes.map((key) => ({ key, title: key })),
    tracks: tracks.map((t) => ({ key: t.key, title: t.title.en })),
    now: { campus: now.campus, mode: now.mode, track: plan.track },
  };
}
