/** Medians and one line a measurement: only the ratios mean anything, because machines are shared and noisy. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

export async function time(rounds: number, work: () => unknown): Promise<number> {
  const times: number[] = [];
  await work();
  for (let i = 0; i < rounds; i += 1) {
    const began = performance.now();
    await work();
    times.push(performance.now() - began);
  }
  return median(times);
}

/**
 * Several pieces of work turn by turn, so that a slow moment of the machine falls on all of them alike.
 * @returns the median time of each, and of each the median of how many times as long as the first it took in the same turn
 */
export function timeTogether(
  turns: number,
  works: readonly (() => unknown)[],
): readonly { readonly ms: number; readonly ratio: number }[] {
  const times = works.map((): number[] => []);
  for (let turn = -1; turn < turns; turn += 1)
    for (const [i, work] of works.entries()) {
      const began = performance.now();
      work();
      if (turn >= 0) times[i]?.push(performance.now() - began);
    }
  const [floor = []] = times;
  return times.map((own) => ({
    ms: median(own),
    ratio: median(own.map((ms, turn) => ms / (floor[turn] ?? ms))),
  }));
}

/** The bytes that a piece of work leaves behind: the median of short turns, so that no collection falls into most of them. */
export function garbageOf(work: () => void): number {
  const turns = Array.from({ length: 51 }, () => {
    globalThis.gc?.();
    const before = process.memoryUsage().heapUsed;
    for (let i = 0; i < 4; i += 1) work();
    return (process.memoryUsage().heapUsed - before) / 4;
  });
  return median(turns);
}

export function report(what: string, measured: string, ratio: number, target: string, holds: boolean): void {
  process.stdout.write(
    `${holds ? "  " : "! "}${what.padEnd(46)} ${measured.padEnd(34)} ${ratio.toFixed(2).padStart(8)} ×   target ${target}\n`,
  );
}
