import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { requestReference } from "../../src/acts/references/request-reference";
import { assessAndExplain } from "../../src/core/assessment/explain";
import type { LoadedFile } from "../../src/core/file/loaded-file";
import type { ExplainedAssessment } from "../../src/core/file/result";
import type { Actor } from "../../src/core/rights/actor";
import { database } from "../../src/db/connection";
import { loadFile } from "../../src/db/queries/load-file";
import { currentOffice } from "../../src/db/queries/office";
import { type Filled, fillForm, supply } from "../../src/demo/applicant";
import * as documents from "../../src/demo/documents";
import { someone } from "../../src/demo/people";
import type { Profile } from "../../src/demo/profile";
import { makePerson, must, type World } from "./world";

export interface TestFile {
  readonly applicationId: string;
  readonly choiceId: string;
  readonly applicant: Actor;
  readonly who: Profile;
  readonly filled: Filled;
}

/** A file as `assess` sees it at the world's moment. */
export async function lookAt(
  world: World,
  applicationId: string,
): Promise<{ readonly loaded: LoadedFile; readonly result: ExplainedAssessment }> {
  const loaded = await loadFile(world.runtime.pool, applicationId);
  if (!loaded) throw new Error("there is no such file");
  const office = await currentOffice(database(world.runtime.pool));
  return { loaded, result: assessAndExplain({ ...loaded, office, at: world.runtime.now().getTime() }) };
}

/** Every document that the demo's master asks for, supplied from the profile. */
export async function supplyAll(
  world: Pick<World, "runtime">,
  file: Pick<TestFile, "applicant" | "applicationId" | "who" | "filled">,
) {
  const { applicant, applicationId, who, filled } = file;
  const madeOn = world.runtime.now();
  const all = [
    ["passport", "", documents.passport],
    ["certificate", filled.degree, documents.certificate],
    ["transcript", filled.degree, documents.transcript],
    ["motivation", "", documents.motivation],
    ["english", "", documents.englishProof],
  ] as const;
  for (const [requirement, entry, make] of all)
    await supply(
      world.runtime,
      applicant,
      applicationId,
      requirement,
      entry,
      `${requirement}.pdf`,
      await make(who, madeOn),
    );
}

const LETTERS = "abcdefghij";
let people = 0;

/** A person whom no other test of the database has: names have no digits, so a count is written in letters. */
export function anybody(world: World, given: string): ReturnType<typeof makePerson> {
  people += 1;
  return makePerson(world, `${given} ${[...String(people)].map((digit) => LETTERS[Number(digit)]).join("")}`);
}

/** An application that was just begun, by somebody of its own. */
export async function begunFile(
  world: World,
  roundId: string,
): Promise<{ readonly owner: Actor; readonly applicationId: string }> {
  const owner = await anybody(world, "Applicant");
  return { owner, applicationId: (await must(world, startApplication, owner, { roundId })).applicationId };
}

/** The same with its form filled in by an overseas applicant, who owes the fee. */
export async function filledFile(world: World, roundId: string, who: Profile = someone("Ana", "Vale")) {
  const begun = await begunFile(world, roundId);
  const filled = await fillForm(world.runtime, begun.owner, begun.applicationId, who);
  return { ...begun, filled };
}

type Told = Readonly<Record<string, string>>;

/** Answers by `section.field`, put over what the form holds; in a list, into its first entry. */
async function tell(world: World, applicant: Actor, applicationId: string, told: Told): Promise<void> {
  const { loaded } = await lookAt(world, applicationId);
  const changes = Object.entries(told).map(([place, value]) => {
    const [section = "", field = ""] = place.split(".");
    const own = loaded.facts.answers.filter((a) => a.section === section);
    const entry = own.find((a) => a.entry !== "")?.entry ?? "";
    const known = own.find((a) => a.entry === entry && a.field === field);
    return { scope: "file", section, entry, field, value, seen: known?.version ?? 0 };
  });
  if (changes.length > 0) await must(world, saveAnswers, applicant, { applicationId, changes });
}

/** A draft of somebody at home, who owes no fee: filled, its documents supplied, its reference asked for. */
export async function readyFile(world: World, roundId: string, given: string, told: Told = {}): Promise<TestFile> {
  const applicant = await makePerson(world, given);
  const who = someone(given, "Maarteen-Quist", { citizenships: ["IE"], residence: "IE" });
  const { applicationId } = await must(world, startApplication, applicant, { roundId });
  const filled = await fillForm(world.runtime, applicant, applicationId, who);
  await tell(world, applicant, applicationId, told);
  const choiceId = (await lookAt(world, applicationId)).result.choices[0]?.id ?? "";
  const file = { applicationId, choiceId, applicant, who, filled };
  await supplyAll(world, file);
  await must(world, requestReference, applicant, { applicationId, referee: filled.referee });
  return file;
}

/** The same, submitted. */
export async function submittedFile(world: World, roundId: string, given: string, told: Told = {}): Promise<TestFile> {
  const file = await readyFile(world, roundId, given, told);
  const { applicationId, choiceId } = file;
  await must(world, submitApplication, file.applicant, { applicationId, choiceIds: [choiceId] });
  return file;
}
