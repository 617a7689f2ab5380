import { prepareDatabase } from "../src/db/prepare";

/** Makes or updates the tables as their owner, and admits the user as whom the application works. */
try {
  await prepareDatabase(process.env.UNVEX_OWNER_URL ?? "", process.env.DATABASE_URL ?? "");
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
}
