import { randomBytes } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { beginSending, dropSending, sendPart } from "../../src/acts/evidence/sendings";
import { clearAway } from "../../src/acts/people/clear-away";
import { MOST_SENDING_BYTES } from "../../src/core/evidence/limits";
import type { Actor } from "../../src/core/rights/actor";
import { sending, sentBytes } from "../../src/views/evidence/sending";
import { readView } from "../../src/views/view/view";
import { DAY, makePerson, must, openWorld, type World } from "../support/world";

describe("a file on its way", () => {
  let world: World;
  let sender: Actor;
  let other: Actor;

  beforeAll(async () => {
    world = await openWorld("sendings");
    sender = await makePerson(world, "Ilka Sender");
    other = await makePerson(world, "Otto Other");
  });
  afterAll(() => world.close());

  const begin = async (size: number, by = sender) =>
    (await must(world, beginSending, by, { name: "Zeugnis.pdf", size })).id;
  const part = (id: string, first: number, bytes: Buffer, by = sender) =>
    runAct(world.runtime, sendPart, by, { id, first, bytes });
  const look = (id: string, by = sender) => readView(world.runtime, sending, by, { id });

  it("arrives part by part, each once and where the last one ended", async () => {
    const bytes = randomBytes(1000);
    const id = await begin(1000);
    expect(await part(id, 0, bytes.subarray(0, 600))).toMatchObject({ ok: true, value: { arrived: 600 } });
    // The answer got lost on the broken line, and the part comes again.
    expect(await part(id, 0, bytes.subarray(0, 600))).toMatchObject({ reason: "changed-meanwhile" });
    expect(await part(id, 700, bytes.subarray(700))).toMatchObject({ reason: "changed-meanwhile" });
    expect(await look(id)).toEqual({ name: "Zeugnis.pdf", size: 1000, arrived: 600 });
    expect(await part(id, 600, bytes.subarray(600))).toMatchObject({ ok: true });
    expect(bytes.equals(await sentBytes(world.runtime.pool, id))).toBe(true);
    expect(await part(id, 1000, Buffer.from("more"))).toMatchObject({ reason: "changed-meanwhile" });
  });

  it("takes the same part once from two requests at a time", async () => {
    const id = await begin(20);
    const both = await Promise.all([part(id, 0, Buffer.alloc(10)), part(id, 0, Buffer.alloc(10))]);
    expect(both.filter((b) => b.ok).length).toBe(1);
    expect((await look(id))?.arrived).toBe(10);
  });

  it("is nobody else's: they find it not, add nothing and let nothing go", async () => {
    const id = await begin(20);
    expect(await look(id, other)).toBeNull();
    expect(await part(id, 0, Buffer.alloc(10), other)).toMatchObject({ reason: "changed-meanwhile" });
    await must(world, dropSending, other, { id });
    expect(await look(id)).not.toBeNull();
    await must(world, dropSending, sender, { id });
    expect(await look(id)).toBeNull();
  });

  it("makes room where one person has too much on its way", async () => {
    const size = 25 * 1024 * 1024;
    const ids: string[] = [];
    for (let i = 0; i <= MOST_SENDING_BYTES / size; i += 1) {
      world.later(1000);
      ids.push(await begin(size, other));
    }
    const [first, ...rest] = ids;
    expect(await look(first ?? "", other)).toBeNull();
    expect((await Promise.all(rest.map((id) => look(id, other)))).every((s) => s !== null)).toBe(true);
    expect(await runAct(world.runtime, beginSending, other, { name: "a", size: size + 1 })).toMatchObject({
      reason: "invalid-input",
    });
  });

  it("waits a day for the rest, from the last part on", async () => {
    const id = await begin(20);
    world.later(0.8 * DAY);
    await part(id, 0, Buffer.alloc(5));
    world.later(0.8 * DAY);
    await must(world, clearAway, { kind: "system" }, {});
    expect((await look(id))?.arrived).toBe(5);
    world.later(0.3 * DAY);
    await must(world, clearAway, { kind: "system" }, {});
    expect(await look(id)).toBeNull();
    const { rows } = await world.runtime.pool.query("select 1 from sending_part where sending_id = $1", [id]);
    expect(rows).toEqual([]);
  });
});
