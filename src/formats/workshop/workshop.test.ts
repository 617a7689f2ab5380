import { readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { makeProgram } from "../../../commands/programs.mjs";
import {
  circularPages,
  deflatedTwice,
  doublingPages,
  manyPoints,
  programInArray,
  swollenTexts,
} from "../../../tests/support/hostile";
import { Workshop } from "./workshop";

const PROGRAM = path.resolve(".unvex", `workshop-${process.pid}.mjs`);
const good = readFileSync(path.join(process.cwd(), "tests/fixtures/files/good.pdf"));

/** A process is started for each file that was given up, beside whatever else the machine does. */
const SLOW = 240_000;

const LITTLE = { cpuMs: 6000, bytes: 700 * 1024 ** 2 };
const LIMITS = { inspect: LITTLE, "join-pages": LITTLE, print: LITTLE, "read-results": LITTLE, "read-mail": LITTLE };

describe("the workshop", { timeout: SLOW }, () => {
  let workshop: Workshop;
  const look = (bytes: Buffer, name = "a.pdf", owner = "somebody") =>
    workshop.run("inspect", { bytes, name, picture: null }, owner);

  beforeAll(async () => {
    await makeProgram("src/workshop.ts", PROGRAM);
    workshop = new Workshop(PROGRAM, 2, LIMITS);
  }, SLOW);
  afterAll(() => {
    workshop.close();
    rmSync(PROGRAM);
  });

  it("looks at a document as it is looked at where it stands", async () => {
    const looked = await look(good);
    expect(looked).toMatchObject({ verdict: "store", mediaType: "application/pdf", pages: 1, marks: [] });
    expect(typeof looked !== "string" && looked.verdict === "store" && good.equals(looked.bytes)).toBe(true);
  });

  it.each([
    ["a tree of pages that doubles with each level", doublingPages()],
    ["a tree of pages that leads back to itself", circularPages()],
  ])("refuses %s", async (_, bytes) => {
    expect(bytes.length).toBeLessThan(5000);
    expect(await look(bytes)).toEqual({ verdict: "refuse", reason: "damaged" });
  });

  it("gives up a stream that unpacks without end, and takes the next document", async () => {
    const bomb = deflatedTwice();
    expect(bomb.length).toBeLessThan(5000);
    const [hostile, honest] = await Promise.all([look(bomb, "a.pdf", "hostile"), look(good, "b.pdf", "honest")]);
    expect(honest).toMatchObject({ verdict: "store" });
    expect(hostile === "too-hard" || (typeof hostile === "object" && hostile.verdict === "refuse")).toBe(true);
    expect(await look(good, "c.pdf", "hostile")).toMatchObject({ verdict: "store" });
  });

  it("sees a program that stands in an array", async () =>
    expect(await look(programInArray())).toMatchObject({ verdict: "store", marks: ["active_content"] }));

  it("makes every picture anew, without what swells in it", async () => {
    const swollen = await swollenTexts();
    const looked = await look(swollen, "a.png");
    if (typeof looked === "string") return expect(looked).toBe("too-hard");
    if (looked.verdict === "store") expect(Buffer.from(looked.bytes).includes("zTXt")).toBe(false);
    else expect(looked.reason).toBe("damaged");
  });

  it("refuses a picture of more points than anybody's telephone takes before it is unpacked", async () =>
    expect(await look(manyPoints(7700), "a.png")).toEqual({ verdict: "refuse", reason: "too_many_pixels" }));

  it("does one thing at a time for one person, and others are not kept waiting for it", async () => {
    const ended: string[] = [];
    const of = async (owner: string, name: string) => {
      await look(good, name, owner);
      ended.push(owner);
    };
    await Promise.all([...Array.from({ length: 12 }, () => of("many", "a.pdf")), of("one", "b.pdf")]);
    expect(ended.indexOf("one")).toBeLessThan(6);
  });

  it("ends a process that holds much after its work, and goes on with a new one", async () => {
    const forgetful = new Workshop(PROGRAM, 1, LIMITS, 1);
    const lasting = new Workshop(PROGRAM, 1, LIMITS);
    const processes = async (of: Workshop): Promise<number> => {
      const seen = new Set<number | undefined>();
      for (const name of ["a.pdf", "b.pdf", "c.pdf"]) {
        const sent = of.run("inspect", { bytes: good, name, picture: null }, "somebody");
        seen.add(of.pids()[0]);
        expect(await sent).toMatchObject({ verdict: "store" });
      }
      return seen.size;
    };
    expect([await processes(forgetful), await processes(lasting)]).toEqual([3, 1]);
    for (const each of [forgetful, lasting]) each.close();
  });

  it("says that it is busy where too many wait", async () => {
    const all = await Promise.all(Array.from({ length: 70 }, () => look(good, "a.pdf", "crowd")));
    expect(all.filter((a) => a === "busy").length).toBeGreaterThan(0);
    expect(all.filter((a) => typeof a === "object" && a.verdict === "store").length).toBeGreaterThan(50);
  });

  it("says so where it cannot be started, each time once", async () => {
    const nowhere = new Workshop(path.resolve(".unvex", "no-such-program.mjs"));
    for (let i = 0; i < 2; i += 1)
      await expect(nowhere.run("inspect", { bytes: good, name: "a.pdf", picture: null }, "somebody")).rejects.toThrow(
        "could not be started",
      );
  });

  it("passes on what a task throws", async () => {
    await expect(
      workshop.run("print", { copy: null as never, locale: "en", at: 0, dossier: null }, "somebody"),
    ).rejects.toThrow();
    expect(await look(good)).toMatchObject({ verdict: "store" });
  });
});
