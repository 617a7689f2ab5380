import { askRegistry, keepRegistryRecord } from "../acts/results/registry";
import { askRegistriesAgain } from "../acts/results/registry-again";
import type { Actor } from "../core/rights/actor";
import { act } from "./applicant";
import type { Play } from "./load";
import { REGISTRY_RECORDS } from "./registry";
import { entriesOf } from "./supplying";

const SYSTEM: Actor = { kind: "system" };

/** An officer asks the registry of examinations for every sitting of a file. */
export async function askRegistries({ stage, applicationId }: Play): Promise<void> {
  const { runtime, staff } = stage;
  for (const entry of await entriesOf(runtime, applicationId, "sittings")) {
    const sitting = { applicationId, scope: "file", section: "sittings", entry };
    const { queryId } = await act(runtime, askRegistry, staff.officer, sitting);
    await stage.askRegistry(queryId);
  }
}

/** The registry publishes other marks, and is asked again as it is each week. */
export async function correctRegistry(
  { stage, applicationId }: Play,
  { candidate, marks }: { readonly candidate: string; readonly marks: Readonly<Record<string, string>> },
): Promise<void> {
  const { runtime } = stage;
  const record = REGISTRY_RECORDS.find((r) => r.candidate === candidate);
  if (!record) throw new Error(`the demo's registry has no ${candidate}`);
  const results = record.results.map((r) => ({ ...r, mark: marks[r.subject] ?? r.mark }));
  await act(runtime, keepRegistryRecord, SYSTEM, { ...record, results });
  await act(runtime, askRegistriesAgain, SYSTEM, {});
  const { rows } = await runtime.pool.query<{ id: string }>(
    "select id from registry_query where application_id = $1 and again_at is not null",
    [applicationId],
  );
  for (const { id } of rows) await stage.askRegistry(id);
}
