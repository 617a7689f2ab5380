/** The database that a command works on: the one that DATABASE_URL names, or the embedded one. */
import path from "node:path";
import { startCluster } from "./cluster.mjs";
import { installSystem } from "./install.mjs";

const NAME = "unvex";

/**
 * @param folder where the embedded cluster lives
 * @returns its address for the application, its address as its owner where that is known, and a function that stops the embedded cluster again if, and only if, this call started it: another
 * start may be working on it
 */
export async function openDatabase(step, folder) {
  if (process.env.DATABASE_URL)
    return { ownerUrl: process.env.UNVEX_OWNER_URL, url: process.env.DATABASE_URL, release: () => undefined };
  await installSystem({ browser: false }, step);
  step("starting the embedded PostgreSQL");
  const cluster = await startCluster(folder);
  cluster.createDatabase(NAME);
  return {
    ownerUrl: cluster.url(NAME),
    url: cluster.appUrl(NAME),
    cluster,
    release: () => (cluster.found ? undefined : cluster.stop()),
  };
}

/** Where the embedded cluster of real use lives. */
export const dataFolder = () => path.resolve(process.env.UNVEX_DATA ?? path.join(".unvex", "data"), "postgres");
