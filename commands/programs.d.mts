import type { SpawnSyncOptions, SpawnSyncReturns } from "node:child_process";

export function makeProgram(source: string, to: string): Promise<void>;
export function program(name: string, ...args: readonly string[]): Promise<readonly string[]>;
export function runProgram(
  name: string,
  args: readonly string[],
  options: SpawnSyncOptions,
): Promise<SpawnSyncReturns<Buffer | string>>;
