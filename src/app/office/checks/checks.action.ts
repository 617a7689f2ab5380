"use server";

import { leaveChecks, leaveForLater, nextCheck, takeUpLater } from "../../../acts/checks/checks";
import { workingCalendar } from "../../../core/calendar/working-days";
import { formatDay } from "../../../core/time/day";
import { zoneTable } from "../../../core/time/zone";
import { proposedDay } from "../../../text/words/office";
import type { CheckItem } from "../../../ui/checks/check-run.client";
import { file } from "../../../views/assessment/file";
import type { FileData } from "../../../views/assessment/file-data";
import { perform, requirePerson, see } from "../../request";

const askDayOf = (data: FileData): string =>
  formatDay(
    proposedDay(workingCalendar(data.calendar), zoneTable(data.zone), Date.parse(data.now), data.office.targets.ask),
  );

/** A file as a check run shows it, as it is now; null where it is gone. */
export async function itemOf(number: string): Promise<CheckItem | null> {
  const person = await requirePerson("/office/checks");
  const data = await see(file, person.actor, { number });
  return data && { data, askDay: askDayOf(data) };
}

/** The next file of a run, which nobody else is given meanwhile; null at its end. */
export async function nextItem(
  requirement: string,
  institution: string,
  passed: readonly string[],
): Promise<CheckItem | null> {
  const person = await requirePerson("/office/checks");
  const outcome = await perform(nextCheck, person.actor, { requirement, institution, passed: [...passed] });
  return outcome.ok && outcome.value ? itemOf(outcome.value.number) : null;
}

/** Leaves a file for later, until the next day. */
export async function leaveItem(requirement: string, applicationId: string): Promise<void> {
  const person = await requirePerson("/office/checks");
  await perform(leaveForLater, person.actor, { requirement, applicationId });
}

/** Gives what was left for later again. */
export async function takeUp(requirement: string): Promise<void> {
  const person = await requirePerson("/office/checks");
  await perform(takeUpLater, person.actor, { requirement });
}

/** Lets go of what was before somebody who leaves. */
export async function leaveRun(requirement: string): Promise<void> {
  const person = await requirePerson("/office/checks");
  await perform(leaveChecks, person.actor, { requirement });
}
