/** `./unvex administrator NAME E-MAIL`: makes the first administrator and prints the link that sets the password. */
import { installPackages } from "./install.mjs";
import { runProgram } from "./programs.mjs";
import { settledEnvironment } from "./start.mjs";
import { Trouble } from "./trouble.mjs";

export async function run(args) {
  const [name, email] = args;
  if (!name || !email) throw new Trouble('Use: ./unvex administrator "First Last" name@office.example');
  await installPackages();
  const { env, database } = await settledEnvironment();
  const result = await runProgram("make-administrator", [name, email], { env, stdio: "inherit" });
  database.release();
  return result.status ?? 1;
}
