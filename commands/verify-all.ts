import { openPool } from "../src/db/connection";
import { verifyAll } from "../src/verify";

const pool = openPool(process.env.DATABASE_URL ?? "", 2);
const { files, differing } = await verifyAll(pool, (done) => process.stdout.write(`\r  ${done} files`));
process.stdout.write(`\r  ${files} files recomputed, ${differing.length} rows differ\n`);
for (const d of differing)
  process.stdout.write(`  ${d.number} ${d.field}: stored ${d.stored}, computed ${d.computed}\n`);
await pool.end();
process.exitCode = differing.length === 0 ? 0 : 1;
