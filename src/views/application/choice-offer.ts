import {
  type IntakeInput,
  type OfferedByProgramme,
  type Options,
  offeredOptions,
} from "../../core/catalogue/programme";
import { languageName } from "../../text/format";

interface Named {
  readonly key: string;
  readonly title: string;
}

/** What a choice is, and what it could be, by key and with the words for the office. */
export interface ChoiceOffer {
  readonly campuses: readonly Named[];
  readonly languages: readonly Named[];
  readonly modes: readonly Named[];
  readonly tracks: readonly Named[];
  readonly now: Options;
}

/** The plan of the start that was chosen, as a query brings it. */
export interface PlannedChoice {
  readonly plan: OfferedByProgramme & {
    readonly options: IntakeInput["options"];
    readonly track: string | null;
  };
}

export function choiceOffer(
  plan: PlannedChoice["plan"],
  now: Omit<Options, "track">,
  campusTitle: (key: string) => string,
): ChoiceOffer {
  const { campuses, languages, modes, tracks } = offeredOptions(plan, plan);
  return {
    campuses: campuses.map((key) => ({ key, title: campusTitle(key) })),
    languages: languages.map((key) => ({ key, title: languageName("en", key) })),
    modes: modes.map((key) => ({ key, title: key })),
    tracks: tracks.map((t) => ({ key: t.key, title: t.title.en })),
    now: { campus: now.campus, language: now.language, mode: now.mode, track: plan.track },
  };
}
