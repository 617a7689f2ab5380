import { addWorking } from "../calendar/working-days";
import type { AskFact } from "../file/facts";
import { requirementKey, resultKey } from "../file/place";
import type { RequirementResult, Step } from "../file/result";
import type { Office } from "../standards/reference-set";
import type { Day } from "../time/day";
import { requireDay } from "../time/zone";
import { about, type StepInput, step, target } from "./step";

const open = (asks: readonly AskFact[]) => asks.filter((a) => a.answeredAt === null);

/** The earliest day by which something is asked for at a requirement; null where nothing is. */
export function askDue({ facts }: StepInput, result: RequirementResult): Day | null {
  const days = open(facts.asks)
    .filter((a) => a.wants === "evidence" && requirementKey(a) === resultKey(result))
    .map((a) => requireDay(a.due));
  return days.length === 0 ? null : Math.min(...days);
}

/** The first day on which what was not answered is with the office again; null where the calendar does not reach so far. */
export function overdueFrom({ due }: Pick<AskFact, "due">, { calendar, set }: Office): Day | null {
  const last = addWorking(calendar, requireDay(due), set.asks.returnAfter);
  return last === null ? null : last + 1;
}

/**
 * What asks leave to do: an answer in words is read, what was not answered long after its day is gone after by the office, and what no
 * step to supply something stands for already (a question, or something that the rulebook does not know) waits for the applicant.
 */
export function askSteps(input: StepInput): readonly Step[] {
  const { facts, office, requirements, today } = input;
  const { answer, check } = office.set.targets;
  const supplied = new Set(
    requirements.filter((r) => r.standing === "missing" || r.standing === "returned").map(resultKey),
  );
  const at = (a: AskFact) => {
    const result = requirements.find((r) => resultKey(r) === requirementKey(a));
    return result ? about(result) : { requirement: a.requirement, scope: a.scope, entry: a.entry };
  };
  const unread = facts.asks.filter((a) => a.answeredAt !== null && a.inWords && a.readAt === null);
  const overdue = open(facts.asks).flatMap((ask) => {
    const from = overdueFrom(ask, office);
    return from !== null && from <= today ? [{ ask, from }] : [];
  });
  const [first] = overdue.toSorted((a, b) => a.from - b.from);
  return [
    ...open(facts.asks)
      .filter((a) => a.wants === "words" || !supplied.has(requirementKey(a)))
      .map((a) => step(input, "applicant", "answer ask", requireDay(a.due), at(a))),
    ...unread.map((a) => step(input, "office", "read answer", target(input, a.answeredAt, answer), at(a))),
    ...(first
      ? [
          step(input, "office", "follow up", addWorking(office.calendar, first.from, check), {
            ...at(first.ask),
            count: overdue.length,
          }),
        ]
      : []),
  ];
}

/** The next days on which an ask that is open now comes back to the office. */
export const returnDays = (asks: readonly AskFact[], office: Office): readonly Day[] =>
  open(asks).flatMap((ask) => overdueFrom(ask, office) ?? []);
