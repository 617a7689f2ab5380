/** What test and bench runs that were killed have left: processes, clusters and folders of runs that no longer are. */
import { existsSync, readdirSync, rmSync } from "node:fs";
import path from "node:path";
import { removeCluster } from "./cluster.mjs";
import { endLeftovers, isAlive } from "./processes.mjs";

const OF_A_RUN = /^(?:browser|crash|test|bench)-(\d+)/u;

/** @param folder the project's data folder; each run has one in it that carries the number of its process */
export async function clearLeftovers(folder) {
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder)) {
    const pid = OF_A_RUN.exec(name)?.[1];
    if (pid === undefined || isAlive(pid)) continue;
    const place = path.join(folder, name);
    for (const noted of readdirSync(place).filter((file) => file.startsWith("processes")))
      await endLeftovers(path.join(place, noted));
    for (const cluster of [place, path.join(place, "postgres")]) removeCluster(cluster);
    rmSync(place, { recursive: true, force: true });
  }
}
