import type { ChildProcess } from "node:child_process";
export function launchWeb(
  env: Record<string, string>,
  port: number,
  host: string,
  logFile: string | null,
): ChildProcess;
export function launchWorker(env: Record<string, string>, logFile: string | null): ChildProcess;
export function untilWell(url: string, child: ChildProcess | undefined, seconds?: number): Promise<boolean>;
export function stopAll(children: readonly ChildProcess[]): Promise<void>;
export function noteProcesses(file: string, children: readonly ChildProcess[]): void;
export function endLeftovers(file: string): Promise<void>;
export function isAlive(pid: number): boolean;
