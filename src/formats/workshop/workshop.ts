import { type ChildProcess, fork } from "node:child_process";
import { setPriority } from "node:os";
import { type Usage, usageOf } from "./process-usage";
import type { Answer, Order, TaskInput, TaskName, TaskResult } from "./tasks";

/** Why there is no result: it took more than any honest document does, or too many wait already. */
export type Stopped = "too-hard" | "busy";

const GB = 1024 ** 3;
/** What a task may take. Time of the processor, so that a busy machine refuses nobody; the clock only ends what hangs. */
const LIMITS: Readonly<Record<TaskName, Usage>> = {
  inspect: { cpuMs: 30_000, bytes: GB },
  "read-results": { cpuMs: 60_000, bytes: GB },
  "read-mail": { cpuMs: 60_000, bytes: GB },
  "join-pages": { cpuMs: 120_000, bytes: GB },
  print: { cpuMs: 240_000, bytes: 1.5 * GB },
};
/** A process that holds more after its work is ended: nobody gives memory back by themselves, and the next one starts small. */
const KEEPS_BYTES = 0.2 * GB;
const HANGS_MS = 600_000;
const LOOK_MS = 200;
const MOST_WAITING = 60;
/** Behind everything that answers a page. */
const PRIORITY = 10;

interface Waiting {
  readonly owner: string;
  readonly order: Order;
  readonly settle: (answer: Answer | Stopped) => void;
}

/** One process and what it is doing. */
interface Bench {
  readonly child: ChildProcess;
  ready: boolean;
  work: Waiting | null;
  /** What the process had used when the work began. */
  before: number;
  began: number;
}

/**
 * Processes in which the bytes of strangers are looked at and printed. They hold no secret and reach no database; one that takes too long
 * or too much is killed and another one started, and nobody but whoever sent the file notices. Nobody has two of them at once.
 */
export class Workshop {
  private readonly benches: Bench[] = [];
  private readonly waiting: Waiting[] = [];
  /** The turn in which each owner who has more waiting was served last. */
  private readonly served = new Map<string, number>();
  private turn = 0;
  private watch: NodeJS.Timeout | null = null;

  /** @param program the built `src/workshop.ts` */
  constructor(
    private readonly program: string,
    private readonly size = 2,
    private readonly limits: Readonly<Record<TaskName, Usage>> = LIMITS,
    private readonly keepsBytes = KEEPS_BYTES,
  ) {}

  /**
   * Runs a task in a process of its own.
   * @param owner who it is for: of one owner, one is done at a time
   * @throws what the task threw
   */
  async run<Name extends TaskName>(
    name: Name,
    input: TaskInput<Name>,
    owner: string,
  ): Promise<TaskResult<Name> | Stopped> {
    if (this.waiting.length >= MOST_WAITING) return "busy";
    const answer = await new Promise<Answer | Stopped>((settle) => {
      this.waiting.push({ owner, order: { name, input }, settle });
      this.next();
    });
    if (typeof answer === "string") return answer;
    if (!answer.ok) throw new Error(answer.message);
    return answer.value as TaskResult<Name>; // the process ran this very task
  }

  /** Starts a process before the first file comes: reading its program takes a while. */
  warm(): this {
    if (this.benches.length === 0) this.open();
    return this;
  }

  /** The processes that there are. */
  pids(): readonly (number | undefined)[] {
    return this.benches.map((b) => b.child.pid);
  }

  /** Ends all processes; what was being done is answered as too hard. */
  close(): void {
    for (const { child } of this.benches) child.kill("SIGKILL");
  }

  /** Whose turn it is: of those who have none at present, the one who was served longest ago; the first among equals. */
  private chosen(): Waiting | null {
    const servedAt = ({ owner }: Waiting) => this.served.get(owner) ?? 0;
    return this.waiting
      .filter(({ owner }) => this.benches.every((b) => b.work?.owner !== owner))
      .reduce<Waiting | null>((best, one) => (best === null || servedAt(one) < servedAt(best) ? one : best), null);
  }

  private next(): void {
    const work = this.chosen();
    if (work === null) return;
    const bench = this.benches.find((b) => b.ready && b.work === null);
    if (bench === undefined) {
      // What is about to be ready takes it then, unless another is free before.
      if (this.benches.every((b) => b.ready) && this.benches.length < this.size) this.open();
      return;
    }
    this.waiting.splice(this.waiting.indexOf(work), 1);
    this.turn += 1;
    this.served.set(work.owner, this.turn);
    if (this.waiting.length === 0) this.served.clear();
    bench.work = work;
    this.begin(bench);
    this.next();
  }

  private begin(bench: Bench): void {
    if (bench.work === null) return;
    bench.before = usageOf(bench.child.pid)?.cpuMs ?? 0;
    bench.began = Date.now();
    bench.child.send(bench.work.order);
    this.watch ??= setInterval(() => this.look(), LOOK_MS).unref();
  }

  private open(): void {
    const child = fork(this.program, [], {
      serialization: "advanced",
      execArgv: ["--max-old-space-size=768"],
      // Nothing of the settings: what is broken into here holds no secret.
      env: { PATH: process.env.PATH, NODE_ENV: "production" },
      stdio: ["ignore", "ignore", "ignore", "ipc"],
    });
    const bench: Bench = { child, ready: false, work: null, before: 0, began: Date.now() };
    this.benches.push(bench);
    child.on("message", (said: Answer | "ready") => {
      if (said !== "ready") return this.answered(bench, said);
      bench.ready = true;
      if (child.pid !== undefined) setPriority(child.pid, PRIORITY);
      this.next();
    });
    child.on("error", () => this.gone(bench));
    child.on("exit", () => this.gone(bench));
    child.unref();
    child.channel?.unref();
  }

  private answered(bench: Bench, answer: Answer | Stopped): void {
    const { work } = bench;
    bench.work = null;
    work?.settle(answer);
    this.retire(bench);
    this.next();
    if (this.watch !== null && this.benches.every((b) => b.work === null)) {
      clearInterval(this.watch);
      this.watch = null;
    }
  }

  /** Ends a process that has grown; a small one takes its place. */
  private retire(bench: Bench): void {
    const at = this.benches.indexOf(bench);
    if (at < 0 || (usageOf(bench.child.pid)?.bytes ?? 0) <= this.keepsBytes) return;
    this.benches.splice(at, 1);
    bench.child.kill("SIGKILL");
    this.warm();
  }

  private gone(bench: Bench): void {
    const at = this.benches.indexOf(bench);
    if (at < 0) return;
    this.benches.splice(at, 1);
    // One that never came to work will not the next time: whoever waits is told, and nobody starts processes without end.
    if (!bench.ready)
      for (const { settle } of this.waiting.splice(0))
        settle({ ok: false, message: "the workshop could not be started" });
    this.answered(bench, "too-hard");
  }

  /** Kills what has taken more than it may. */
  private look(): void {
    for (const { child, work, before, began, ready } of this.benches) {
      if (work === null || !ready) continue;
      const limit = this.limits[work.order.name];
      const used = usageOf(child.pid);
      const tooMuch = used !== null && (used.cpuMs - before > limit.cpuMs || used.bytes > limit.bytes);
      if (tooMuch || Date.now() - began > HANGS_MS) child.kill("SIGKILL");
    }
  }
}
