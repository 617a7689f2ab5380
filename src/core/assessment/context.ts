import type { AnswerIndex } from "../answers/answer-index";
import { typedFacts } from "../answers/typed-facts";
import { closingOf } from "../catalogue/round-state";
import type { ChoiceContext } from "../file/choice-context";
import type { ChoiceFact, FileFacts, Round } from "../file/facts";
import { whole } from "../numbers/ratio";
import { type Plan, planOf } from "../rulebook/plan";
import type { Rulebook } from "../rulebook/rulebook";
import type { Condition } from "../rules/condition";
import { judge } from "../rules/evaluate";
import { type Fact, type FactList, type FactSource, UNKNOWN } from "../rules/fact";
import { withoutUnasked } from "../rules/unasked";
import type { Office } from "../standards/reference-set";
import { type Day, formatDay } from "../time/day";
import { dayAt, requireDay } from "../time/zone";
import { type ChoiceDays, dayOf } from "./days";
import { readSittings, type Sittings } from "./language";
import { measureFact } from "./measures";

const NO_LIST: FactList = { entries: [], open: true };

const MEASURE = "measure.";
/** What sections of the office’s own making ask. */
const OWN_MAKING = "answers.";

const given = (value: string | null): Fact => (value === null ? UNKNOWN : { kind: "value", value, confirmed: true });

const onDay = (day: Day): Fact => given(formatDay(day));

/** A fact that comes from the choice itself and not from the form. */
function choiceFact(choice: ChoiceFact, days: ChoiceDays, name: string): Fact {
  switch (name) {
    case "start":
      return given(choice.start);
    case "today":
    case "closing":
    case "submission":
      return onDay(dayOf(days, name));
    case "choice.language":
      return given(choice.language);
    case "choice.campus":
      return given(choice.campus);
    case "choice.mode":
      return given(choice.mode);
    case "choice.track":
      return given(choice.track);
    case "choice.tracks": {
      const tracks = [...(choice.track === null ? [] : [choice.track]), ...choice.otherTracks];
      return tracks.length === 0 ? UNKNOWN : { kind: "value", value: tracks, confirmed: true };
    }
    case "choice.rank":
      return { kind: "value", value: whole(choice.rank), confirmed: true };
    case "choice.answer":
      return given(choice.decision?.answer ?? null);
    default:
      return UNKNOWN;
  }
}

function sourceOf(
  facts: FileFacts,
  index: AnswerIndex,
  choice: ChoiceFact,
  rulebook: Rulebook,
  round: Round,
  office: Office,
  at: number,
): Pick<ChoiceContext, "source" | "group" | "restsOnToday"> {
  const { sections, measures } = rulebook.body;
  const plan = planOf(rulebook.body);
  const typed = typedFacts(index, plan, choice.id, choice.submittedAt !== null);
  const computed = new Map<string, Fact>();
  const tests = sections.find((s) => s.core === "tests");
  const scope = tests?.scope === "choice" ? choice.id : "file";
  const sheet = index.list(scope, tests?.key ?? "");
  const scoresOf = (entry: string) => {
    const [field, place] = [sheet.find("scores"), sheet.placeOf(entry)];
    return { value: sheet.valueAt(field, place), confirmed: sheet.confirmationAt(field, place) !== undefined };
  };
  let read: Sittings | null = null;
  const sittings = (): Sittings => {
    read ??= readSittings(source.list("tests"), scoresOf);
    return read;
  };
  let group: string | null = null;
  let askedToday = false;
  const days: ChoiceDays = {
    today: () => {
      askedToday = true;
      return dayAt(office.zone, at);
    },
    start: requireDay(choice.start),
    // The closing is the exclusive end of its last day.
    closing: () => dayAt(office.zone, closingOf(round, group, choice.extendedTo) - 1),
    submission: choice.submittedAt === null ? null : dayAt(office.zone, Date.parse(choice.submittedAt)),
  };
  const ruled = { sections: plan.sections, rulings: facts.rulings, office, choice: choice.id };
  const measure = (name: string): Fact => {
    const known = computed.get(name);
    if (known !== undefined) return known;
    const key = name.slice(MEASURE.length);
    const definition = measures.find((m) => m.key === key);
    const fact = definition ? measureFact(definition, source, office, days, sittings, ruled) : UNKNOWN;
    computed.set(name, fact);
    return fact;
  };
  const source: FactSource = {
    list: (name) => typed.list(name) ?? NO_LIST,
    scalar: (name) => {
      if (name.startsWith(MEASURE)) return measure(name);
      return name === "group" ? given(group) : (typed.scalar(name) ?? choiceFact(choice, days, name));
    },
  };
  group = facts.application.groupSinceSubmission ?? applicantGroup(source, office, plan);
  return { source, group, restsOnToday: () => askedToday };
}

/**
 * The applicant group: the first of the office's ordered rules that is met. A rule that is still open stops the search,
 * because a better group may yet be found: the group is then unknown. What a form of the office's own making does not ask holds of nobody
 * there, so that a group of graduates leaves the programmes alone that do not ask for them.
 */
export function applicantGroup(source: FactSource, office: Office, plan: Pick<Plan, "scalars">): string | null {
  for (const group of office.set.groups) {
    const { truth } = judge(groupRule(group.when, plan), source);
    if (truth === "met") return group.key;
    if (truth === "open") return null;
  }
  return null;
}

const groupRules = new WeakMap<Pick<Plan, "scalars">, Map<Condition, Condition>>();

/** The rule of a group as a form puts it: conditions that are published never change, so each is cut once a form. */
function groupRule(when: Condition, plan: Pick<Plan, "scalars">): Condition {
  const known = groupRules.get(plan) ?? new Map<Condition, Condition>();
  groupRules.set(plan, known);
  const cut = known.get(when) ?? withoutUnasked(when, (fact) => !fact.startsWith(OWN_MAKING) || plan.scalars.has(fact));
  known.set(when, cut);
  return cut;
}

/**
 * The contexts of all live choices, in the order of their rank.
 * @param at epoch milliseconds: rules may speak of today
 */
export function contexts(
  facts: FileFacts,
  index: AnswerIndex,
  rulebooks: Readonly<Record<string, Rulebook>>,
  rounds: Readonly<Record<string, Round>>,
  office: Office,
  at: number,
): readonly ChoiceContext[] {
  const ranked = facts.choices.length < 2 ? facts.choices : [...facts.choices].sort((a, b) => a.rank - b.rank);
  return ranked.map((choice) => {
    const rulebook = rulebooks[choice.rulebookId];
    const round = rounds[choice.roundId];
    if (!rulebook || !round) throw new Error(`assess needs rulebook ${choice.rulebookId} and round ${choice.roundId}`);
    return { choice, rulebook, round, ...sourceOf(facts, index, choice, rulebook, round, office, at) };
  });
}
