import { startApplication } from "../../src/acts/application/start-application";
import { act, fillForm } from "../../src/demo/applicant";
import { someone } from "../../src/demo/people";
import { launchWeb, stopAll, untilWell } from "../processes.mjs";
import { type KillBench, named, Saver } from "./kill";
import { report } from "./measure";

const SAVERS = 60;
const SAVES = 15;
/** Where an address that asks the database one thing answers 540 a second, each of sixty waits 111 ms; 150 saves, within 300 ms, are asked there. */
const [SHARE, WAIT] = [150 / 540, 300 / 111];

/** Everybody does the same again and again, all at once. @returns how many a second, and the time that 95 of 100 keep to */
async function together(everybody: readonly (() => Promise<void>)[], times: number) {
  const took: number[] = [];
  const began = performance.now();
  await Promise.all(
    everybody.map(async (once) => {
      for (let i = 0; i < times; i += 1) {
        const from = performance.now();
        await once();
        took.push(performance.now() - from);
      }
    }),
  );
  const seconds = (performance.now() - began) / 1000;
  const p95 = took.toSorted((a, b) => a - b)[Math.floor(took.length * 0.95)] ?? 0;
  return { each: took.length / seconds, p95 };
}

/** Sixty applicants who save one answer after the other at once, against as many who ask an address with one question. */
export async function benchSavers({ runtime, roundId, url, applicant }: KillBench): Promise<void> {
  const saved = { answered: 0, lost: [] };
  const savers: Saver[] = [];
  for (let n = 0; n < SAVERS; n += 1) {
    const who = someone(`Saver${named(n)}`, "Vale");
    const { actor, cookie } = await applicant(who);
    const { applicationId } = await act(runtime, startApplication, actor, { roundId });
    await fillForm(runtime, actor, applicationId, who);
    savers.push(new Saver(url, cookie, applicationId, saved));
  }
  const web = launchWeb({}, Number(new URL(url).port), "127.0.0.1", process.env.UNVEX_BENCH_LOG ?? null);
  try {
    if (!(await untilWell(url, web))) throw new Error("the web server did not start");
    const saving = savers.map((saver) => () => saver.once());
    const asking = savers.map(() => async () => void (await (await fetch(`${url}/health`)).text()));
    await together(asking, 5);
    await together(saving, 5);
    saved.answered = 0;
    const floor = await together(asking, SAVES);
    const own = await together(saving, SAVES);
    if (saved.answered < SAVERS * SAVES) throw new Error(`${saved.answered} of ${SAVERS * SAVES} were saved`);
    report(
      "sixty who save at once",
      `${own.each.toFixed(0)} a second (of ${floor.each.toFixed(0)})`,
      own.each / floor.each,
      `at least ${SHARE.toFixed(2)}`,
      own.each >= floor.each * SHARE,
    );
    report(
      "of whom 95 of 100 wait at most",
      `${own.p95.toFixed(0)} ms (of ${floor.p95.toFixed(0)})`,
      own.p95 / floor.p95,
      `at most ${WAIT.toFixed(1)}`,
      own.p95 <= floor.p95 * WAIT,
    );
  } finally {
    await stopAll([web]);
  }
}
