import type { Json } from "../file/facts";
import { type Day, parseDay, parseRough, type RoughDate } from "../time/day";

/** One entry of a form's lists by its fields, confirmed values before claimed ones. */
export type StatedEntry = ReadonlyMap<string, Json>;

/** A study or a school as somebody states it. */
export interface Study {
  readonly title: string;
  readonly institution: string;
  /** ISO 3166, alpha-2; "" where it is not stated. */
  readonly country: string;
  /** When it ended or is expected to; null while it goes on. */
  readonly end: RoughDate | null;
  /** It has not ended yet, whatever is expected. */
  readonly isRunning: boolean;
  /** How a study ended that was left without its degree: `excluded`, `paused`, or anything else that was answered; "" for all others. */
  readonly why: string;
  /** A decimal, or "". */
  readonly credits: string;
}

/** A stated date, which may be a year or a month alone; null for anything else. */
export function statedDate(value: Json | undefined): RoughDate | null {
  if (typeof value !== "string" || value === "") return null;
  const day = parseDay(value);
  return day === null ? parseRough(value) : { from: day, to: day };
}

/** An entry as a study; null for what is no study, such as a job or a referee. */
export function studyOf(entry: StatedEntry): Study | null {
  const text = (...fields: readonly string[]): string => {
    const found = fields.map((f) => entry.get(f)).find((v) => typeof v === "string" && v !== "");
    return typeof found === "string" ? found : "";
  };
  const institution = text("institution", "name");
  const isDated = ["start", "end", "expectedEnd", "left", "stage"].some((f) => text(f) !== "");
  if (institution === "" || !isDated) return null;
  const ended = statedDate(entry.get("end")) ?? statedDate(entry.get("left"));
  const why = text("why");
  return {
    title: text("title"),
    institution,
    country: text("country"),
    end: ended ?? statedDate(entry.get("expectedEnd")),
    isRunning: ended === null || why === "paused",
    why,
    credits: text("credits"),
  };
}

/** Where somebody studies, or studied last: what goes on before what has ended, then what ended last. */
export function lastPlaceOfStudy(studies: readonly Study[]): Study | null {
  const endOf = ({ end, isRunning }: Study) => (isRunning ? Number.POSITIVE_INFINITY : (end?.to ?? 0));
  return studies.reduce<Study | null>(
    (last, study) => (last === null || endOf(study) > endOf(last) ? study : last),
    null,
  );
}

/** What an officer looks into before a place is offered. */
export interface Notable {
  readonly code: "excluded" | "still enrolled" | "ends after start" | "may transfer";
  readonly study: Study;
}

/** @param start the first day of study here; null while nothing is chosen */
export function notableIn(studies: readonly Study[], start: Day | null): readonly Notable[] {
  return studies.flatMap((study): readonly Notable[] => {
    const isLate = study.isRunning && start !== null && study.end !== null && study.end.from > start;
    const codes: readonly (Notable["code"] | false)[] = [
      study.why === "excluded" && "excluded",
      study.why === "paused" && "still enrolled",
      study.why === "" && isLate && "ends after start",
      study.why !== "" && Number(study.credits) > 0 && "may transfer",
    ];
    return codes.flatMap((code) => (code === false ? [] : [{ code, study }]));
  });
}
