/** Keeps the processes of a start going: what ends by itself is started again, with growing pauses, and said. */
import { noteProcesses, stopAll } from "./processes.mjs";

const FIRST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 60_000;
/** A process that has worked for so long was well: its next end is the first of a new row. */
const WELL_AFTER_MS = 20_000;

/**
 * @param processes by their names, how each is launched
 * @param say where it is told what ended and what happens now
 * @param notes the file in which the running processes are noted, for the next start
 * @param firstPause milliseconds before the first new start; each further one waits twice as long, a minute at most
 * @param wellAfter milliseconds of work after which an end is the first of a new row
 */
export function supervise(processes, { say, notes, firstPause = FIRST_PAUSE_MS, wellAfter = WELL_AFTER_MS }) {
  const running = new Map();
  const waiting = new Set();
  let stopping = false;
  const note = () => noteProcesses(notes, [...running.values()]);

  function keep(name, pause) {
    const began = Date.now();
    const child = processes[name]();
    running.set(name, child);
    note();
    child.once("exit", (code, signal) => {
      running.delete(name);
      if (stopping) return;
      note();
      const wasWell = Date.now() - began >= wellAfter;
      const next = wasWell ? firstPause : pause;
      say(`${name} ended by itself (${signal ?? code}); it is started again in ${Math.ceil(next / 1000)} s`);
      const timer = setTimeout(() => {
        waiting.delete(timer);
        keep(name, Math.min(next * 2, LONGEST_PAUSE_MS));
      }, next);
      waiting.add(timer);
    });
  }
  for (const name of Object.keys(processes)) keep(name, firstPause);

  return {
    /** The process of a name as it runs now. */
    child: (name) => running.get(name),
    stop: async () => {
      stopping = true;
      for (const timer of waiting) clearTimeout(timer);
      await stopAll([...running.values()]);
      note();
    },
  };
}

/** Looks every few seconds whether the database server is there, and starts it again where it is not. */
export function watchCluster(cluster, say, everyMs = 3000) {
  let looking = false;
  const timer = setInterval(async () => {
    if (looking || cluster.isRunning()) return;
    looking = true;
    say("PostgreSQL ended by itself; it is started again");
    await cluster.revive().catch((error) => say(`PostgreSQL did not start: ${error.message}`));
    looking = false;
  }, everyMs);
  return () => clearInterval(timer);
}
