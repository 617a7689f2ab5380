import { assess } from "../../core/assessment/assess";
import type { LoadedFile } from "../../core/file/loaded-file";
import type { RequirementResult } from "../../core/file/result";
import { shownName } from "../../core/people/shown-name";
import { type Actor, holds, OFFICE } from "../../core/rights/actor";
import { OPEN_STANDINGS } from "../../core/settlement/file-tags";
import type { Office } from "../../core/standards/reference-set";
import type { Many, ManyLine } from "../../core/turns/many";
import { database } from "../../db/connection";
import { loadFile } from "../../db/queries/load-file";
import { currentOffice } from "../../db/queries/office";
import { REFUSED_WORDS } from "../../text/words/office";
import { type Outcome, type Runtime, runAct, tryAct } from "../act/act";
import { askApplicant } from "../asks/asks";
import { handFile } from "../assessment/take-file";
import { excuseRequirement } from "../evidence/excuse-requirement";
import { remindApplicant } from "../evidence/remind-applicant";
import { assignFile } from "./assigning";

/**
 * The same to many files, each in a transaction of its own. What would come of it is found by doing it and keeping nothing: nobody is
 * told before what then comes otherwise for another reason than that the file has changed meanwhile.
 */
type Run = typeof runAct;

/** The places of a requirement that are open in a file: one for each choice, or entry, that asks for it. */
function openPlaces(loaded: LoadedFile, office: Office, at: number, key: string): readonly RequirementResult[] {
  const { requirements } = assess({ ...loaded, office, at });
  return requirements.filter((r) => r.key === key && OPEN_STANDINGS.includes(r.standing));
}

type Said = Pick<ManyLine, "done" | "says" | "before">;

const WHY: Readonly<Record<string, string>> = {
  ...REFUSED_WORDS,
  locked: "It is not submitted yet.",
  "nothing-due": "Nothing waits for the applicant there.",
  "not-found": "This cannot be asked there.",
};

const refused = (
  outcome: Extract<Outcome<unknown>, { ok: false }>,
  words: Readonly<Record<string, string>> = {},
): Said => ({
  done: false,
  says: words[outcome.reason] ?? WHY[outcome.reason] ?? outcome.reason,
});

/** Does it at each open place; the first that is refused says why. */
async function atPlaces(
  places: readonly RequirementResult[],
  act: (place: RequirementResult) => Promise<Outcome<unknown>>,
  says: (title: string) => string,
): Promise<Said> {
  const [first] = places;
  if (!first) return { done: false, says: "It is not open there." };
  for (const place of places) {
    const outcome = await act(place);
    if (!outcome.ok) return refused(outcome);
  }
  return { done: true, says: says(first.title.en) };
}

async function doOne(
  runtime: Runtime,
  actor: Actor,
  run: Run,
  loaded: LoadedFile,
  office: Office,
  what: Many,
): Promise<Said> {
  const applicationId = loaded.facts.application.id;
  const places = (key: string) => openPlaces(loaded, office, runtime.now().getTime(), key);
  const at = ({ key, scope, entry }: RequirementResult) => ({ applicationId, requirement: key, scope, entry });
  switch (what.do) {
    case "hand": {
      const outcome = await run(runtime, handFile, actor, { applicationId, officerId: what.officerId });
      if (outcome.ok)
        return {
          done: true,
          says: what.officerId ? "Goes into their hands." : "Is let go.",
          before: outcome.value.before,
        };
      return refused(outcome, {
        "already-done": "It is there already.",
        "not-yours": "They, or you, do not work on this programme.",
      });
    }
    case "assign": {
      const outcome = await run(runtime, assignFile, actor, { applicationId });
      if (outcome.ok) return { done: true, says: `To ${outcome.value.name}.`, before: outcome.value.before };
      return refused(outcome, {
        "already-done": "It is where the rules put it.",
        "not-found": "No rule fits it, or nobody of that rule is there.",
      });
    }
    case "remind": {
      const outcome = await run(runtime, remindApplicant, actor, { applicationId, words: what.words });
      if (!outcome.ok) return refused(outcome, { "already-done": "They were reminded less than a day ago." });
      const { waits } = outcome.value;
      return { done: true, says: waits === 1 ? "One thing waits for them." : `${waits} things wait for them.` };
    }
    case "ask": {
      const { requirement, text, due } = what;
      return atPlaces(
        places(requirement),
        (place) => run(runtime, askApplicant, actor, { ...at(place), text, due }),
        (title) => `Is asked for: ${title}.`,
      );
    }
    case "excuse": {
      const { requirement, reason } = what;
      return atPlaces(
        places(requirement),
        (place) => run(runtime, excuseRequirement, actor, { ...at(place), reason }),
        (title) => `Is excused from: ${title}.`,
      );
    }
  }
}

/** @param really whether it is done, or only tried */
export async function doToFiles(
  runtime: Runtime,
  actor: Actor,
  ids: readonly string[],
  what: Many,
  really: boolean,
): Promise<readonly ManyLine[]> {
  const office = await currentOffice(database(runtime.pool));
  const lines: ManyLine[] = [];
  for (const id of ids) {
    const loaded = await loadFile(runtime.pool, id);
    if (!loaded) continue;
    // Whoever may not see a file is told nothing of it.
    if (
      !holds(
        actor,
        OFFICE,
        loaded.facts.choices.map((c) => c.programme),
      )
    )
      continue;
    const said = await doOne(runtime, actor, really ? runAct : tryAct, loaded, office, what);
    lines.push({ id, number: loaded.facts.application.number, name: shownName(loaded.facts), ...said });
  }
  return lines;
}
