import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import {
  endReopening,
  readCorrections,
  reopenSections,
  sendCorrections,
} from "../../src/acts/application/reopen-sections";
import { refuseCorrection, requestCorrection } from "../../src/acts/application/request-correction";
import { withdraw } from "../../src/acts/application/withdraw";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Json } from "../../src/core/file/facts";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { myApplication } from "../../src/views/application/my-application";
import { submissions } from "../../src/views/application/submissions";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt, submittedFile, type TestFile } from "../support/files";
import { makePerson, must, openWorld, type World } from "../support/world";

let world: World;
let roundId: string;
let officer: Actor;
const DUE = "2026-12-04";
const PERSON = [{ scope: "file", section: "person" }];

beforeAll(async () => {
  world = await openWorld("reopening");
  ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
  officer = await makePerson(world, "Ruth Officer", ["officer"]);
});
afterAll(() => world.close());

const reopen = (file: TestFile, sections = PERSON) => {
  world.later(1000);
  return runAct(world.runtime, reopenSections, officer, {
    applicationId: file.applicationId,
    sections,
    reason: "The place of birth is not the one in the passport.",
    due: DUE,
  });
};

async function answerOf(file: TestFile, section: string, field: string) {
  const { loaded } = await lookAt(world, file.applicationId);
  return loaded.facts.answers.find((a) => a.section === section && a.field === field);
}

async function write(file: TestFile, section: string, field: string, value: Json) {
  const seen = (await answerOf(file, section, field))?.version ?? 0;
  const change = { scope: "file", section, entry: "", field, value, seen };
  const saved = await must(world, saveAnswers, file.applicant, {
    applicationId: file.applicationId,
    changes: [change],
  });
  return saved.results[0]?.state;
}

const next = async (file: TestFile) => (await lookAt(world, file.applicationId)).result.file.owed.map((s) => s.kind);

const linesOf = async (file: TestFile, actor: Actor) => {
  const { loaded } = await lookAt(world, file.applicationId);
  return readView(world.runtime, submissions, actor, { number: loaded.facts.application.number });
};

describe("sections that the office opens again", () => {
  it("are changed, sent as a new submission with what differs, and read", async () => {
    const file = await submittedFile(world, roundId, "Corrector");
    const before = (await answerOf(file, "person", "birthPlace"))?.value;
    expect(await write(file, "person", "birthPlace", "Elsewhere")).toBe("refused");

    expect((await reopen(file)).ok).toBe(true);
    expect(await next(file)).toContain("correct");
    expect(await write(file, "contact", "phone", "+353 20 910 0000")).toBe("refused");
    expect(await write(file, "person", "birthPlace", "Ravensholm")).toBe("saved");

    const sent = await must(world, sendCorrections, file.applicant, { applicationId: file.applicationId, true: true });
    expect(sent.no).toBe(2);
    expect(await write(file, "person", "birthPlace", "Once more")).toBe("refused");
    expect(await next(file)).toContain("read changes");

    const lines = await linesOf(file, officer);
    expect(lines?.map((l) => [l.no, l.changes?.map((c) => [c.field.title.en, c.before, c.after]) ?? null])).toEqual([
      [2, [["Place of birth", before, "Ravensholm"]]],
      [1, null],
    ]);
    await must(world, readCorrections, officer, { applicationId: file.applicationId });
    const again = await runAct(world.runtime, readCorrections, officer, { applicationId: file.applicationId });
    expect(again).toMatchObject({ ok: false, reason: "already-done" });
    expect(await next(file)).not.toContain("read changes");
  });

  it("become again what was submitted when the office takes it back", async () => {
    const file = await submittedFile(world, roundId, "Restored");
    const before = await answerOf(file, "person", "birthPlace");
    const list = "education";
    await reopen(file, [...PERSON, { scope: "file", section: list }]);
    await write(file, "person", "birthPlace", "Ravensholm");
    const entries = (await lookAt(world, file.applicationId)).loaded.facts.answers.filter((a) => a.section === list);
    await must(world, saveAnswers, file.applicant, {
      applicationId: file.applicationId,
      removed: [...new Set(entries.map((a) => a.entry))]
        .filter(Boolean)
        .map((entry) => ({ scope: "file", section: list, entry })),
    });
    await must(world, endReopening, officer, { applicationId: file.applicationId });
    expect((await answerOf(file, "person", "birthPlace"))?.value).toEqual(before?.value);
    const plain = (all: typeof entries) => all.map((a) => [a.entry, a.field, a.value]).sort();
    const after = (await lookAt(world, file.applicationId)).loaded.facts.answers.filter((a) => a.section === list);
    expect(plain(after)).toEqual(plain(entries));
    expect(await write(file, "person", "birthPlace", "Elsewhere")).toBe("refused");
    expect(
      (await runAct(world.runtime, sendCorrections, file.applicant, { applicationId: file.applicationId, true: true }))
        .ok,
    ).toBe(false);
  });

  it("end with a withdrawal: nothing is asked for any more", async () => {
    const file = await submittedFile(world, roundId, "Leaving");
    await reopen(file);
    await must(world, withdraw, file.applicant, { applicationId: file.applicationId });
    const { loaded } = await lookAt(world, file.applicationId);
    const shown = await readView(world.runtime, myApplication, file.applicant, {
      number: loaded.facts.application.number,
    });
    expect([shown?.reopening, shown?.correctable, await next(file)]).toEqual([null, [], []]);
    expect(await write(file, "person", "birthPlace", "Elsewhere")).toBe("refused");
  });

  it("are not sent while something in them is missing", async () => {
    const file = await submittedFile(world, roundId, "Gap");
    await reopen(file);
    await write(file, "person", "birthPlace", "");
    const refused = await runAct(world.runtime, sendCorrections, file.applicant, {
      applicationId: file.applicationId,
      true: true,
    });
    expect(refused).toMatchObject({ ok: false, reason: "not-complete" });
  });

  it.each([
    ["Nowhere", "a section that the file does not have", [{ scope: "file", section: "nowhere" }], "not-found"],
    ["Declared", "the declaration", [{ scope: "file", section: "declaration" }], "not-found"],
  ])("%s: are not %s", async (given, _, sections, reason) => {
    const file = await submittedFile(world, roundId, given);
    expect(await reopen(file, sections)).toMatchObject({ ok: false, reason });
  });

  it("grow when more is opened, with the later date", async () => {
    const file = await submittedFile(world, roundId, "More");
    await reopen(file);
    await reopen(file, [{ scope: "file", section: "contact" }]);
    const { loaded } = await lookAt(world, file.applicationId);
    expect(loaded.facts.reopenings.map((r) => r.sections.map((s) => s.section))).toEqual([["person", "contact"]]);
  });
});

describe("a correction that the applicant asks for", () => {
  const ask = (file: TestFile, sections = PERSON) =>
    runAct(world.runtime, requestCorrection, file.applicant, {
      applicationId: file.applicationId,
      sections,
      text: "I was born in Ravensholm.",
    });
  const shown = async (file: TestFile) => {
    const { loaded } = await lookAt(world, file.applicationId);
    return readView(world.runtime, myApplication, file.applicant, { number: loaded.facts.application.number });
  };

  it("is the office's turn until sections are opened", async () => {
    const file = await submittedFile(world, roundId, "Asker");
    expect((await ask(file)).ok).toBe(true);
    expect(await ask(file)).toMatchObject({ ok: false, reason: "already-done" });
    expect(await next(file)).toContain("answer request");
    expect((await shown(file))?.request?.text).toBe("I was born in Ravensholm.");
    await reopen(file);
    expect(await next(file)).not.toContain("answer request");
    expect(await shown(file)).toMatchObject({ request: null, reopening: { due: DUE } });
  });

  it("or is refused with a reason, and may be asked anew", async () => {
    const file = await submittedFile(world, roundId, "Refusal");
    await ask(file);
    await must(world, refuseCorrection, officer, {
      applicationId: file.applicationId,
      reason: "It matches the passport.",
    });
    expect(await next(file)).not.toContain("answer request");
    const again = { applicationId: file.applicationId, reason: "Again" };
    expect(await runAct(world.runtime, refuseCorrection, officer, again)).toMatchObject({ reason: "already-done" });
    expect((await ask(file)).ok).toBe(true);
  });

  it("is nothing for what was never submitted", async () => {
    const draft = await filledFile(world, roundId);
    const outcome = await runAct(world.runtime, requestCorrection, draft.owner, {
      applicationId: draft.applicationId,
      sections: PERSON,
      text: "x",
    });
    expect(outcome).toMatchObject({ ok: false, reason: "not-found" });
  });
});
