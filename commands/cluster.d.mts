export interface Cluster {
  readonly port: number;
  readonly pid: () => number | null;
  readonly found: boolean;
  readonly url: (database: string) => string;
  readonly appUrl: (database: string) => string;
  readonly createDatabase: (database: string, copyOf?: string) => void;
  readonly dropDatabase: (database: string) => void;
  readonly isRunning: () => boolean;
  readonly revive: () => Promise<void>;
  readonly stop: (mode?: "fast" | "immediate") => void;
}
export function findPostgres(): string | null;
export function freePort(): Promise<number>;
export function clusterPlace(folder: string): string;
export function startCluster(folder: string): Promise<Cluster>;
export function removeCluster(folder: string): void;
