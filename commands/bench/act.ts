import type pg from "pg";
import { type Runtime, runAct } from "../../src/acts/act/act";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { report, time } from "./measure";

/** One act whole (write, event, assessment, projection), beside a single statement. */
export async function benchAct(
  pool: pg.Pool,
  runtime: Runtime,
  applicant: Actor,
  applicationId: string,
): Promise<void> {
  await pool.query(
    "create table bench_row (id int primary key, body jsonb, n int); insert into bench_row values (1, '{}', 0)",
  );
  const body = JSON.stringify({ text: "x".repeat(2000) });
  const single = await time(100, () =>
    pool.query(
      "with w as (update bench_row set body = $1, n = n + 1 where id = 1 returning n) insert into event (at, act, actor, about) select now(), 'bench', 'system', jsonb_build_object('n', n) from w",
      [body],
    ),
  );
  let no = 0;
  let seen = 1;
  const whole = await time(60, async () => {
    no += 1;
    const outcome = await runAct(runtime, saveAnswers, applicant, {
      applicationId,
      changes: [{ scope: "file", section: "contact", entry: "", field: "street", value: `${no} Quay Street`, seen }],
    });
    if (outcome.ok && outcome.value.results[0]?.state === "saved") seen = outcome.value.results[0].version;
  });
  report(
    "an act: write, event, assessment, projection",
    `${whole.toFixed(1)} ms (one statement ${single.toFixed(2)})`,
    whole / single,
    "at most 4, its assessment included",
    whole <= single * 4,
  );
}
