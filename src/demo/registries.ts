import type { Runtime } from "../acts/act/act";
import { askRegistry, keepRegistryRecord } from "../acts/results/registry";
import { askRegistriesAgain } from "../acts/results/registry-again";
import type { Actor } from "../core/rights/actor";
import { act } from "./applicant";
import { REGISTRY_RECORDS } from "./registry";
import { entriesOf } from "./supplying";

const SYSTEM: Actor = { kind: "system" };

interface Asking {
  readonly runtime: Runtime;
  readonly applicationId: string;
  readonly officer: Actor;
  /** The registry answers what it was asked. */
  readonly answer: (queryId: string) => Promise<void>;
}

/** An officer asks the registry of examinations for every sitting of a file. */
export async function askRegistries({ runtime, applicationId, officer, answer }: Asking): Promise<void> {
  for (const entry of await entriesOf(runtime, applicationId, "sittings")) {
    const sitting = { applicationId, scope: "file", section: "sittings", entry };
    const { queryId } = await act(runtime, askRegistry, officer, sitting);
    await answer(queryId);
  }
}

/** The registry publishes other marks, and is asked again as it is each week. */
export async function correctRegistry(
  { runtime, applicationId, answer }: Asking,
  { candidate, marks }: { readonly candidate: string; readonly marks: Readonly<Record<string, string>> },
): Promise<void> {
  const record = REGISTRY_RECORDS.find((r) => r.candidate === candidate);
  if (!record) throw new Error(`the demo's registry has no ${candidate}`);
  const results = record.results.map((r) => ({ ...r, mark: marks[r.subject] ?? r.mark }));
  await act(runtime, keepRegistryRecord, SYSTEM, { ...record, results });
  await act(runtime, askRegistriesAgain, SYSTEM, {});
  const { rows } = await runtime.pool.query<{ id: string }>(
    "select id from registry_query where application_id = $1 and again_at is not null",
    [applicationId],
  );
  for (const { id } of rows) await answer(id);
}
