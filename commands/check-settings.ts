import { readSettings } from "../src/settings";

/** Says what is wrong with the settings, a sentence for each, before anything is started. */
try {
  readSettings(process.env);
} catch (error) {
  process.stderr.write(
    `${error instanceof Error ? error.message : String(error)}\nAll settings are described in docs/operators.md.\n`,
  );
  process.exitCode = 1;
}
