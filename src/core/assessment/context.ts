import type { AnswerIndex } from "../answers/answer-index";
import { typedFacts } from "../answers/typed-facts";
import { closingOf } from "../catalogue/round-state";
import type { ChoiceContext } from "../file/choice-context";
import type { ChoiceFact, FileFacts, Round } from "../file/facts";
import { whole } from "../numbers/ratio";
import { planOf } from "../rulebook/plan";
import type { Rulebook } from "../rulebook/rulebook";
import { judge } from "../rules/evaluate";
import { type Fact, type FactList, type FactSource, UNKNOWN } from "../rules/fact";
import type { Office } from "../standards/reference-set";
import { dayAt, requireDay } from "../time/zone";
import type { ChoiceDays } from "./days";
import { measureFact } from "./measures";

const NO_LIST: FactList = { entries: [], open: true };

const given = (value: string | null): Fact => (value === null ? UNKNOWN : { kind: "value", value, confirmed: true });

/** The facts that come from the choice itself and not from the form. */
function choiceFacts(choice: ChoiceFact): ReadonlyMap<string, Fact> {
  return new Map<string, Fact>([
    ["start", given(choice.start)],
    ["choice.language", given(choice.language)],
    ["choice.campus", given(choice.campus)],
    ["choice.mode", given(choice.mode)],
    ["choice.track", given(choice.track)],
    ["choice.rank", { kind: "value", value: whole(choice.rank), confirmed: true }],
    ["choice.answer", given(choice.decision?.answer ?? null)],
  ]);
}

function sourceOf(
  facts: FileFacts,
  index: AnswerIndex,
  choice: ChoiceFact,
  rulebook: Rulebook,
  round: Round,
  office: Office,
): { source: FactSource; group: string | null } {
  const { sections, measures } = rulebook.body;
  const plan = planOf(rulebook.body);
  const typed = typedFacts(index, plan, choice.id, choice.submittedAt !== null);
  const own = choiceFacts(choice);
  const computed = new Map<string, Fact>();
  const tests = sections.find((s) => s.core === "tests");
  const scope = tests?.scope === "choice" ? choice.id : "file";
  const sittings = tests ? index.list(scope, tests.key) : null;
  const scoresOf = (entry: string) => {
    const [field, place] = [sittings?.find("scores") ?? -1, sittings?.placeOf(entry) ?? -1];
    return {
      value: sittings?.valueAt(field, place) ?? null,
      confirmed: sittings?.confirmationAt(field, place) !== undefined,
    };
  };
  let group: string | null = null;
  const days: ChoiceDays = {
    start: requireDay(choice.start),
    // The closing is the exclusive end of its last day.
    closing: () => dayAt(office.zone, closingOf(round, group, choice.extendedTo) - 1),
    submission: choice.submittedAt === null ? null : dayAt(office.zone, Date.parse(choice.submittedAt)),
  };
  const ruled = { sections: plan.sections, rulings: facts.rulings, office, choice: choice.id };
  const measure = (name: string): Fact => {
    if (!name.startsWith("measure.")) return UNKNOWN;
    const key = name.slice(8);
    const definition = measures.find((m) => m.key === key);
    const fact = definition ? measureFact(definition, source, office, days, scoresOf, ruled) : UNKNOWN;
    computed.set(name, fact);
    return fact;
  };
  const source: FactSource = {
    list: (name) => typed.list(name) ?? NO_LIST,
    scalar: (name) =>
      name === "group" ? given(group) : (typed.scalar(name) ?? own.get(name) ?? computed.get(name) ?? measure(name)),
  };
  group = facts.application.groupAtSubmission ?? applicantGroup(source, office);
  return { source, group };
}

/**
 * The applicant group: the first of the office's ordered rules that is met. A rule that is still open stops the search,
 * because a better group may yet be found: the group is then unknown.
 */
export function applicantGroup(source: FactSource, office: Office): string | null {
  for (const group of office.set.groups) {
    const { truth } = judge(group.when, source);
    if (truth === "met") return group.key;
    if (truth === "open") return null;
  }
  return null;
}

/** The contexts of all live choices, in the order of their rank. */
export function contexts(
  facts: FileFacts,
  index: AnswerIndex,
  rulebooks: Readonly<Record<string, Rulebook>>,
  rounds: Readonly<Record<string, Round>>,
  office: Office,
): readonly ChoiceContext[] {
  const ranked = facts.choices.length < 2 ? facts.choices : [...facts.choices].sort((a, b) => a.rank - b.rank);
  return ranked.map((choice) => {
    const rulebook = rulebooks[choice.rulebookId];
    const round = rounds[choice.roundId];
    if (!rulebook || !round) throw new Error(`assess needs rulebook ${choice.rulebookId} and round ${choice.roundId}`);
    return { choice, rulebook, round, ...sourceOf(facts, index, choice, rulebook, round, office) };
  });
}
