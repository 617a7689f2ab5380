import type { ChildProcess } from "node:child_process";
export function supervise(
  processes: Readonly<Record<string, () => ChildProcess>>,
  options: {
    readonly say: (line: string) => void;
    readonly notes: string;
    readonly firstPause?: number;
    readonly wellAfter?: number;
  },
): { readonly child: (name: string) => ChildProcess | undefined; readonly stop: () => Promise<void> };
export function watchCluster(
  cluster: { readonly isRunning: () => boolean; readonly revive: () => Promise<void> },
  say: (line: string) => void,
  everyMs?: number,
): () => void;
