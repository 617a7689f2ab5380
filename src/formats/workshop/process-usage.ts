import { readFileSync } from "node:fs";

/** Time of the processor in milliseconds, and memory in bytes. */
export interface Usage {
  readonly cpuMs: number;
  readonly bytes: number;
}

/** The kernel counts in hundredths of a second and, on every machine that Debian's Node.js runs on here, in pages of 4 kB. */
const TICK_MS = 10;
const PAGE_BYTES = 4096;
/** The places in `/proc/<pid>/stat` after the name, which may hold anything (proc(5)): time in user mode and in the kernel, pages held. */
const [USER, KERNEL, PAGES] = [11, 12, 21];

/** What a process has used up to now; null where the system does not say. */
export function usageOf(pid: number | undefined): Usage | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, "latin1");
    const fields = stat.slice(stat.lastIndexOf(")") + 2).split(" ");
    return {
      cpuMs: (Number(fields[USER]) + Number(fields[KERNEL])) * TICK_MS,
      bytes: Number(fields[PAGES]) * PAGE_BYTES,
    };
  } catch {
    return null;
  }
}
