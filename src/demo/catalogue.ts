import { Temporal } from "temporal-polyfill";
import { type Outcome, type Runtime, runAct } from "../acts/act/act";
import { saveCycle, saveIntake, saveProcedure, saveProgramme } from "../acts/catalogue/programmes";
import { addRound } from "../acts/catalogue/rounds";
import { publishRulebook } from "../acts/rulebook/rulebooks";
import { savePart } from "../acts/rulebook/shared-parts";
import { storeTemplate } from "../acts/rulebook/templates";
import { saveInstitution } from "../acts/standards/institutions";
import { loadReferenceSet } from "../acts/standards/reference-set";
import type { ChoiceRules } from "../core/catalogue/choice-rules";
import type { PlainDate } from "../core/ids";
import { recogniseParts } from "../core/rulebook/parts";
import type { RulebookBody } from "../core/rulebook/rulebook";
import type { LocalText } from "../core/text/local-text";
import { addDays, toUtc } from "../core/time/zone";
import { INSTITUTIONS } from "./institutions";
import { type PlannedProgramme, PROGRAMMES } from "./programmes";
import { referenceSet } from "./reference-set";
import { SHARED_PARTS } from "./rulebooks/shared";

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

async function must<T>(outcome: Promise<Outcome<T>>): Promise<T> {
  const done = await outcome;
  if (!done.ok)
    throw new Error(`the demo's catalogue was refused: ${done.reason} ${JSON.stringify(done.details ?? {})}`);
  return done.value;
}

const PROCEDURES: readonly { readonly key: string; readonly title: LocalText; readonly rules: ChoiceRules }[] = [
  {
    key: "preparatory",
    title: { en: "Preparatory year", fr: "Année préparatoire" },
    rules: { least: 1, most: 1, limits: [], exclusive: [], ranked: false },
  },
  {
    key: "taught",
    title: { en: "Taught programmes", fr: "Programmes enseignés" },
    rules: {
      least: 1,
      most: 4,
      limits: [{ by: "level", value: "certificate", most: 1 }],
      exclusive: [],
      ranked: true,
      undertaking: {
        en: "If I am offered several places, I accept at most one of them, and I hold no other place at Merrow while I decide.",
        fr: "Si plusieurs places me sont proposées, j’en accepte une au plus, et je n’en garde aucune autre à Merrow pendant que je décide.",
      },
    },
  },
  {
    key: "doctoral",
    title: { en: "Doctoral programme", fr: "Programme doctoral" },
    rules: { least: 1, most: 1, limits: [], exclusive: [], ranked: false },
  },
];

/** Keeps the forms that a programme offers, and names them in the requirements of its rulebook. */
async function withForms(runtime: Runtime, { rulebook, forms = [] }: PlannedProgramme): Promise<RulebookBody> {
  let body = rulebook;
  for (const { requirement, name, make } of forms) {
    const bytes = await make();
    const kept = await must(
      runAct(runtime, storeTemplate, SYSTEM, { name, bytes, mediaType: "application/pdf", marks: [] }),
    );
    body = {
      ...body,
      requirements: body.requirements.map((r) =>
        r.key === requirement && r.kind === "document" ? { ...r, templates: [...(r.templates ?? []), kept] } : r,
      ),
    };
  }
  return body;
}

/** Plans one programme with its start, its rounds and its published rulebook. The rounds come back by their keys. */
export async function planProgramme(
  runtime: Runtime,
  planned: PlannedProgramme,
  anchor: string,
  start: string,
): Promise<Readonly<Record<string, string>>> {
  const { code } = planned.programme;
  await must(
    runAct(runtime, saveProgramme, SYSTEM, {
      procedure: planned.procedure,
      version: null,
      programme: planned.programme,
    }),
  );
  const { intakeId } = await must(
    runAct(runtime, saveIntake, SYSTEM, {
      programme: code,
      cycle: start.slice(0, 4),
      intakeId: null,
      version: null,
      intake: {
        startsOn: start,
        places: planned.places,
        quotas: (planned.quotas ?? []).map((q) => ({ title: "", mode: null, ...q })),
        options: { campuses: [], languages: [], modes: [], tracks: [] },
      },
    }),
  );
  const rounds: Record<string, string> = {};
  for (const round of planned.rounds) {
    const { roundId } = await must(
      runAct(runtime, addRound, SYSTEM, {
        intakeId,
        round: {
          key: round.key,
          opensAt: momentFrom(anchor, round.opens, "09:00"),
          closings: [
            { group: "home", at: momentFrom(anchor, round.closes.home) },
            { group: "alliance", at: momentFrom(anchor, round.closes.home) },
            { group: "overseas", at: momentFrom(anchor, round.closes.overseas) },
          ],
          rolling: round.rolling ?? false,
          closesWhenFull: round.closesWhenFull ?? false,
          ifPlacesLeft: round.ifPlacesLeft ?? false,
          prepareBefore: round.prepareBefore ?? true,
          promiseDays: round.promiseDays,
        },
      }),
    );
    rounds[round.key] = roundId;
  }
  await must(
    runAct(runtime, publishRulebook, SYSTEM, {
      intakeId,
      body: recogniseParts(await withForms(runtime, planned), SHARED_PARTS),
    }),
  );
  return rounds;
}

export interface LoadedCatalogue {
  /** The round of MES, in which most of the demo's files stand. */
  readonly roundId: string;
  /** Rounds by programme and key: `BMR 2`. */
  readonly rounds: Readonly<Record<string, string>>;
  readonly start: string;
}

/** Loads the reference set and plans all programmes with their rounds and rulebooks, relative to the anchor day. */
export async function loadCatalogue(runtime: Runtime, anchor: string): Promise<LoadedCatalogue> {
  const start = startOfStudies(anchor);
  const year = start.slice(0, 4);
  await must(runAct(runtime, loadReferenceSet, SYSTEM, referenceSet));
  await must(runAct(runtime, saveCycle, SYSTEM, { key: year, title: { en: `Entry ${year}`, fr: `Rentrée ${year}` } }));
  for (const place of INSTITUTIONS)
    await must(runAct(runtime, saveInstitution, SYSTEM, { institutionId: null, version: null, institution: place }));
  for (const procedure of PROCEDURES) await must(runAct(runtime, saveProcedure, SYSTEM, procedure));
  for (const part of SHARED_PARTS) await must(runAct(runtime, savePart, SYSTEM, { ...part, edit: null }));
  const rounds: Record<string, string> = {};
  for (const planned of PROGRAMMES)
    for (const [key, id] of Object.entries(await planProgramme(runtime, planned, anchor, start)))
      rounds[`${planned.programme.code} ${key}`] = id;
  const roundId = rounds["MES 1"];
  if (!roundId) throw new Error("the demo has no MES");
  return { roundId, rounds, start };
}
