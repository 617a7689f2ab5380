import { Temporal } from "temporal-polyfill";
import { type Runtime, runAct } from "../acts/act";
import { loadReferenceSet, planProgramme, publishRulebook } from "../acts/catalogue";
import type { PlainDate } from "../core/ids";
import { addDays, toUtc } from "../core/time/zone";
import { referenceSet } from "./reference-set";
import { mes } from "./rulebooks/mes";

const SYSTEM = { kind: "system" } as const;
const ZONE = "Europe/Dublin";
const LEAST_DAYS_TO_START = 150;

/** The instant of a wall time so many days from the anchor day. */
export function momentFrom(anchor: string, days: number, time = "18:00"): string {
  return toUtc(`${addDays(anchor as PlainDate, days)}T${time}:00`, ZONE, "later").utc;
}

/** Studies begin on the first 1 September that is at least 150 days after the anchor. */
export function startOfStudies(anchor: string): string {
  const least = Temporal.PlainDate.from(anchor).add({ days: LEAST_DAYS_TO_START });
  const same = Temporal.PlainDate.from({ year: least.year, month: 9, day: 1 });
  return (Temporal.PlainDate.compare(same, least) >= 0 ? same : same.add({ years: 1 })).toString();
}

async function must<T>(
  outcome: Promise<{ ok: true; value: T } | { ok: false; reason: string; details?: unknown }>,
): Promise<T> {
  const done = await outcome;
  if (!done.ok)
    throw new Error(`the demo's catalogue was refused: ${done.reason} ${JSON.stringify(done.details ?? {})}`);
  return done.value;
}

/** Loads the reference set and plans MES with its round and its rulebook, all relative to the anchor day. */
export async function loadCatalogue(
  runtime: Runtime,
  anchor: string,
): Promise<{ readonly roundId: string; readonly start: string }> {
  const start = startOfStudies(anchor);
  const year = start.slice(0, 4);
  await must(runAct(runtime, loadReferenceSet, SYSTEM, referenceSet));
  const { intakeId, roundId } = await must(
    runAct(runtime, planProgramme, SYSTEM, {
      procedure: { key: "taught", title: { en: "Taught programmes", fr: "Programmes enseignés" }, mostChoices: 4 },
      cycle: { key: year, title: { en: `Entry ${year}`, fr: `Rentrée ${year}` } },
      programme: {
        code: "MES",
        title: { en: "Estuary Science", fr: "Sciences de l’estuaire" },
        award: "MSc",
        level: "master",
        language: "en",
        ects: 120,
        campuses: ["Port Merrow"],
        description: {
          en: "Tides, sediments and life where rivers meet the sea. Two years, with a field season on the Merrow flats.",
          fr: "Marées, sédiments et vie à la rencontre des fleuves et de la mer. Deux ans, avec une saison de terrain.",
        },
      },
      intake: { startsOn: start, places: 25 },
      round: {
        key: "1",
        opensAt: momentFrom(anchor, -60, "09:00"),
        closings: [
          { group: "home", at: momentFrom(anchor, 45) },
          { group: "overseas", at: momentFrom(anchor, 24) },
        ],
        promiseDays: 30,
      },
    }),
  );
  await must(runAct(runtime, publishRulebook, SYSTEM, { intakeId, body: mes }));
  return { roundId, start };
}
