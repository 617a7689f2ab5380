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

export function report(what: string, measured: string, ratio: number, target: string, holds: boolean): void {
  process.stdout.write(
    `${holds ? "  " : "! "}${what.padEnd(46)} ${measured.padEnd(34)} ${ratio.toFixed(2).padStart(8)} ×   target ${target}\n`,
  );
}
