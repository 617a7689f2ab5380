import type { Runtime } from "../acts/act/act";
import { confirmValues } from "../acts/evidence/confirm-values";
import { acceptEvidence } from "../acts/evidence/judge-evidence";
import { AnswerIndex } from "../core/answers/answer-index";
import { assess } from "../core/assessment/assess";
import { contexts } from "../core/assessment/context";
import { acceptedAs } from "../core/file/result";
import { unconfirmed } from "../core/requirements/unconfirmed";
import type { Actor } from "../core/rights/actor";
import { database } from "../db/connection";
import { loadFile } from "../db/queries/load-file";
import { currentOffice } from "../db/queries/office";
import { act } from "./applicant";

interface Checking {
  readonly runtime: Runtime;
  readonly applicationId: string;
  readonly officer: Actor;
}

/** Confirms everything beside accepted documents that an entry rule uses, with a change where the story wants one. */
export async function confirmAll(
  { runtime, applicationId, officer }: Checking,
  changed: Readonly<Record<string, string>>,
): Promise<void> {
  const office = await currentOffice(database(runtime.pool));
  const loaded = await loadFile(runtime.pool, applicationId);
  if (!loaded) return;
  const index = new AnswerIndex(loaded.facts);
  const at = runtime.now().getTime();
  const all = contexts(loaded.facts, index, loaded.rulebooks, loaded.rounds, office, at);
  const { requirements } = assess({ ...loaded, office, at });
  const values = requirements
    .filter((r) => r.standing === "accepted")
    .flatMap((r) => unconfirmed({ contexts: all, index }, r))
    .map((v) => {
      const value = changed[`${v.section}.${v.field}`];
      return value === undefined ? v : { ...v, value };
    });
  if (values.length > 0)
    await act(runtime, confirmValues, officer, {
      applicationId,
      values,
      note: Object.keys(changed).length > 0 ? "As it stands on the document" : null,
    });
}

/** Accepts every document that is to be checked. */
export async function acceptAll({ runtime, applicationId, officer }: Checking): Promise<void> {
  const office = await currentOffice(database(runtime.pool));
  const loaded = await loadFile(runtime.pool, applicationId);
  if (!loaded) return;
  const { requirements } = assess({ ...loaded, office, at: runtime.now().getTime() });
  for (const result of requirements.filter((r) => r.standing === "to check")) {
    const { key: requirement, scope, entry } = result;
    const place = { applicationId, requirement, scope, entry };
    await act(runtime, acceptEvidence, officer, { ...place, proof: acceptedAs(result) });
  }
}
