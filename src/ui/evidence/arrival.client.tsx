"use client";

import { type Arrival, arrivalOf } from "../../core/evidence/arrival";
import { requirementKey, resultKey } from "../../core/file/place";
import type { RequirementResult } from "../../core/file/result";
import type { PlainDate } from "../../core/ids";
import { dateIn } from "../../core/time/date-in";
import { toInstant } from "../../core/time/zone";
import { formatDate, formatMoment } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";

function words({ state, by }: Arrival, zone: string): string {
  if (state === "in time") return "in time";
  const limit = by.kind === "ask" ? formatDate("en", by.due) : formatMoment("en", by.at, zone);
  if (by.kind === "ask") return `after ${limit}, the day for which it was asked`;
  return state === "late" ? `late: the round closed on ${limit}` : `within the grace after the closing, ${limit}`;
}

/** When something came, and whether that was in time. */
export function CameOn({
  at,
  what = "Came",
  requirement,
  data,
}: {
  at: string;
  what?: string;
  requirement: RequirementResult;
  data: FileData;
}) {
  const closings = data.assessment.choices
    .filter((c) => requirement.choices.includes(c.id))
    .map(({ closesAt, acceptsUntil }) => ({ closesAt, acceptsUntil }));
  const asks = data.asks.filter((a) => requirementKey(a) === resultKey(requirement));
  const arrival = arrivalOf(
    toInstant(Date.parse(at)),
    dateIn(data.zone, at),
    requirement.neededBy,
    closings,
    asks.map(({ askedAt, due }) => ({ askedAt: toInstant(Date.parse(askedAt)), due: due as PlainDate })), // as the act has read it
  );
  return (
    <p className={arrival?.state === "late" ? "came strong" : "came quiet"}>
      {what} on {formatMoment("en", at, data.zone)}
      {arrival ? `: ${words(arrival, data.zone)}` : ""}.
    </p>
  );
}
