import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { safePath } from "../../src/app/safe-path";
import { nameSimilarity } from "../../src/core/people/name-similarity";
import { signedOtherwise } from "../../src/core/people/signed-name";
import { readZone } from "../../src/core/people/travel-document";
import { readOwnerList } from "../../src/core/results/owner-list";
import { rulebookSchema } from "../../src/core/rulebook/rulebook";
import { readRegister } from "../../src/core/standards/register-table";
import { readTable } from "../../src/core/tables/read-table";
import { referenceSet } from "../../src/demo/reference-set";
import { mes } from "../../src/demo/rulebooks/mes";
import { readElmo } from "../../src/formats/elmo/read-elmo";
import { IN_PLACE } from "../../src/formats/workshop/in-place";
import { renderMail } from "../../src/text/words/render-mail";
import { VIEWS } from "../../src/views";
import { linkPurpose } from "../../src/views/mail/link-purpose";
import { access } from "../../src/views/people/access";
import { readView } from "../../src/views/view/view";
import { makePerson, openWorld, VISITOR, type World } from "../support/world";

/** How many of each; `UNVEX_FUZZ=20000` looks for long. */
const RUNS = Number(process.env.UNVEX_FUZZ ?? 150);
const HOUR = 3_600_000;

const FIXTURES = path.join(process.cwd(), "tests", "fixtures");
const inFolder = (folder: string) =>
  readdirSync(path.join(FIXTURES, folder)).map((name) => ({
    name,
    bytes: readFileSync(path.join(FIXTURES, folder, name)),
  }));

type Change = readonly [kind: number, at: number, length: number, sign: number];
const changes = fc.array(fc.tuple(fc.nat(5), fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(64), fc.nat(255)), {
  minLength: 1,
  maxLength: 8,
});
const TOKENS = [
  "<<",
  ">>",
  "/Kids [1 0 R]",
  "99999999999",
  "-1",
  "endobj",
  "<!DOCTYPE x [",
  "&x;",
  "</",
  "\0",
  ',"',
  "\n",
];

/** Bytes of a real file with something flipped, cut out, doubled, moved or put in, as a hostile or broken program would. */
function changed(bytes: Buffer, all: readonly Change[]): Buffer {
  let out = Buffer.from(bytes);
  for (const [kind, where, length, sign] of all) {
    const at = Math.floor(where * out.length);
    const [before, part, after] = [out.subarray(0, at), out.subarray(at, at + length), out.subarray(at + length)];
    if (kind === 0 && at < out.length) out[at] = sign;
    if (kind === 1) out = Buffer.concat([before, after]);
    if (kind === 2) out = Buffer.concat([before, part, part, after]);
    if (kind === 3) out = Buffer.concat([part, before, after]);
    if (kind === 4) out = Buffer.concat([before, Buffer.from(TOKENS[sign % TOKENS.length] ?? ""), part, after]);
    if (kind === 5) out = Buffer.from(out.subarray(0, Math.max(1, at)));
  }
  return out;
}

const text = fc.oneof(
  fc.string({ unit: "grapheme", maxLength: 60 }),
  fc.string({ unit: "binary", maxLength: 60 }),
  fc.constantFrom(
    "\0",
    "\ud800",
    "%00",
    "../../..",
    "'; drop table person; --",
    "𐍈".repeat(40),
    "=1+1",
    "\u202egnp.exe",
    "NaN",
    "1e999",
  ),
);
const anything = fc.anything({ withNullPrototype: true, maxDepth: 4 });

/** Whatever comes from outside is answered: taken, or refused by a word of ours. Nothing throws, and nothing hangs. */
describe("fuzzed", () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld("fuzz");
  });
  afterAll(() => world.close());

  it("documents and pictures", { timeout: HOUR }, async () => {
    const files = inFolder("files");
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...files), changes, async ({ name, bytes }, all) => {
        const answer = await IN_PLACE.run("inspect", { bytes: changed(bytes, all), name, picture: null }, "fuzz");
        if (typeof answer === "string") return;
        expect(["store", "refuse"]).toContain(answer.verdict);
      }),
      { numRuns: RUNS },
    );
  });

  it("student results", { timeout: HOUR }, () => {
    const files = inFolder("elmo").filter((f) => f.name.endsWith(".xml"));
    fc.assert(
      fc.property(fc.constantFrom(...files), changes, ({ bytes }, all) => {
        expect(typeof readElmo(changed(bytes, all), "en", new Set()).ok).toBe("boolean");
      }),
      { numRuns: RUNS },
    );
  });

  it("tables: lists of owners, the register", { timeout: HOUR }, () => {
    const [test] = referenceSet.tests;
    if (!test) throw new Error("no test");
    const table = Buffer.from('Name,Date of birth,Number\n"Vale, Ana",2001-02-03,12345\n;;;\n"a""b",,\n');
    fc.assert(
      fc.property(changes, text, (all, more) => {
        const written = `${changed(table, all).toString("utf8")}${more}`;
        const read = readTable(written);
        if (read) expect(typeof readOwnerList(read, test).ok).toBe("boolean");
        expect(Array.isArray(readRegister(written).institutions)).toBe(true);
      }),
      { numRuns: RUNS * 4 },
    );
  });

  it("rulebooks", { timeout: HOUR }, () => {
    const body = Buffer.from(JSON.stringify(mes));
    fc.assert(
      fc.property(changes, anything, (all, other) => {
        let read: unknown = other;
        try {
          read = JSON.parse(changed(body, all).toString("utf8"));
        } catch {
          // no JSON any more: whatever else was made is tried
        }
        expect(typeof rulebookSchema.safeParse(read).success).toBe("boolean");
      }),
      { numRuns: RUNS },
    );
  });

  it("names, zones of passports, mails and ways to go on", { timeout: HOUR }, () => {
    fc.assert(
      fc.property(text, text, (a, b) => {
        expect(nameSimilarity(a, b).score).toBeGreaterThanOrEqual(0);
        expect(typeof signedOtherwise(a, b)).toBe("boolean");
        readZone(`${a}\n${b}`);
        const mail = renderMail(
          "en",
          "reference-asked",
          { name: a, applicant: b, programmeEn: a, programmeFr: b, until: "2027-01-09", link: "/reference/x" },
          "https://apply.example",
        );
        expect(mail.subject).not.toMatch(/[\r\n]/u);
        const to = safePath(a);
        if (to !== null) expect(new URL(to, "https://apply.example").host).toBe("apply.example");
      }),
      { numRuns: RUNS * 10 },
    );
  });

  it("cursors, words that are looked for, links", { timeout: HOUR }, async () => {
    const [officer, administrator] = await Promise.all([
      makePerson(world, "Officer", ["officer"]),
      makePerson(world, "Administrator", ["administrator"]),
    ]);
    await fc.assert(
      fc.asyncProperty(text, text, async (a, b) => {
        const given = { after: a, find: b, reason: a, turn: b, kind: a, subject: a, before: b } as never; // as an address may say it
        await readView(world.runtime, VIEWS.turns, officer, given);
        await readView(world.runtime, VIEWS.post, officer, given);
        await readView(world.runtime, VIEWS.drafts, officer, given);
        await readView(world.runtime, VIEWS.awaited, officer, given);
        await readView(world.runtime, access, administrator, given);
        expect(await readView(world.runtime, linkPurpose, VISITOR, { token: a })).toBeNull();
      }),
      { numRuns: RUNS },
    );
  });

  it("every view, by whatever is asked of it", { timeout: HOUR }, async () => {
    const officer = await makePerson(world, "Second Officer", ["lead officer", "standards keeper", "administrator"]);
    const views = Object.values(VIEWS);
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...views), anything, async (view, input) => {
        await readView(world.runtime, view as never, officer, input as never);
      }),
      { numRuns: RUNS * 2 },
    );
  });
});
