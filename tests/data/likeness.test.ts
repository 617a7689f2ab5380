import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { reopenSections, sendCorrections } from "../../src/acts/application/reopen-sections";
import { startApplication } from "../../src/acts/application/start-application";
import { submitApplication } from "../../src/acts/application/submit-application";
import { saveAnswers } from "../../src/acts/form/save-answers";
import { recordPayment, startPayment } from "../../src/acts/payments/payments";
import { compareStatements, judgeLikeness } from "../../src/acts/statements/likeness";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { fillAny } from "../../src/demo/filling";
import { ownWords } from "../../src/demo/own-words";
import { someone } from "../../src/demo/people";
import { supplyAny } from "../../src/demo/supplying";
import { file as fileView } from "../../src/views/assessment/file";
import { statementComparison, writerLikeness } from "../../src/views/statements/likeness";
import { turns } from "../../src/views/turns/turns";
import { readView } from "../../src/views/view/view";
import { anybody, lookAt } from "../support/files";
import { makePerson, must, openWorld, reasonOf, SYSTEM, type World } from "../support/world";

const COPIED =
  "I have watched the ferries of our harbour since I could walk, and each winter I asked my grandmother why the fog came from the south.";

/** Statements are held against each other once they are submitted: the office sees which are alike, their writers are warned before. */
describe("statements that are alike", () => {
  let world: World;
  let officer: Actor;
  let elsewhere: Actor;
  let rounds: Readonly<Record<string, string>>;

  beforeAll(async () => {
    world = await openWorld("likeness", "2026-10-20T09:00:00Z");
    officer = await makePerson(world, "Runa Okonjo", ["officer"]);
    elsewhere = await makePerson(world, "Padraig Hennessy", ["officer"], "MES");
    ({ rounds } = await loadCatalogue(world.runtime, "2026-11-25"));
  });
  afterAll(() => world.close());

  const textOf = (name: string) => ownWords(name, "Doon", 3);

  async function begun(name: string, text: string, person?: Actor) {
    const applicant = person ?? (await anybody(world, name));
    const { applicationId, number } = await must(world, startApplication, applicant, {
      roundId: rounds["GBC 1"] ?? "",
    });
    const who = someone(name, "Vale", { citizenships: ["IE"], residence: "IE" });
    await fillAny(world.runtime, applicant, applicationId, who, { "statement.text": text }, {});
    const { result } = await lookAt(world, applicationId);
    const choiceId = result.choices[0]?.id ?? "";
    return { applicationId, number, applicant, who, choiceId };
  }
  type Begun = Awaited<ReturnType<typeof begun>>;

  const compare = (applicationId: string) => must(world, compareStatements, SYSTEM, { applicationId });

  async function sent(name: string, text: string) {
    const file = await begun(name, text);
    const { applicant, applicationId, choiceId, who } = file;
    await supplyAny(world.runtime, applicant, applicationId, who);
    for (const charge of (await lookAt(world, applicationId)).loaded.facts.charges) {
      const { paymentId } = await must(world, startPayment, applicant, { applicationId, chargeId: charge.id });
      await must(world, recordPayment, SYSTEM, { paymentId, providerKey: paymentId, result: "booked" });
    }
    await must(world, submitApplication, applicant, { applicationId, choiceIds: [choiceId] });
    await compare(applicationId);
    return file;
  }
  const alike = async ({ number }: Begun) =>
    (await readView(world.runtime, fileView, officer, { number }))?.likenesses ?? [];
  const first = async (file: Begun) => {
    const [found] = await alike(file);
    if (!found) throw new Error("nothing is alike");
    return found;
  };
  const listed = async () =>
    (await readView(world.runtime, turns, officer, { alike: true }))?.rows.map((r) => r.number).sort();

  it("are found once both are submitted, shown in both files, and judged once for both", async () => {
    const one = await sent("Ada", `${textOf("Ada")} ${COPIED}`);
    expect(await alike(one)).toEqual([]);
    world.later(60_000);
    const other = await sent("Bob", `${COPIED} ${textOf("Bob")}`);
    const seen = await first(other);
    expect(seen).toMatchObject({ words: 26, title: "Statement", other: { number: one.number }, said: null });
    expect(seen.submittedAt > seen.otherAt).toBe(true);
    expect(await first(one)).toMatchObject({ statementId: seen.otherId, otherId: seen.statementId, words: 26 });
    expect(await listed()).toEqual([one.number, other.number].sort());

    const judge = (verdict: "harmless" | "copied" | "undecided", note: string) =>
      reasonOf(
        runAct(world.runtime, judgeLikeness, officer, {
          applicationId: other.applicationId,
          statementId: seen.statementId,
          otherId: seen.otherId,
          verdict,
          note,
        }),
      );
    expect(await judge("copied", " ")).toBe("needs-reason");
    expect(await judge("copied", "Word for word, a minute later.")).toBe("ok");
    expect((await first(one)).said).toMatchObject({ verdict: "copied", by: "Runa Okonjo" });
    expect(await listed()).toEqual([]);
    expect(await judge("undecided", "")).toBe("ok");
    expect((await first(one)).said).toBeNull();
    expect(await judge("harmless", "")).toBe("ok");

    // What was judged stays judged while both stand; the next change of either begins anew.
    await compare(other.applicationId);
    expect((await first(one)).said?.verdict).toBe("harmless");
    const section = { scope: other.choiceId, section: "statement" };
    await must(world, reopenSections, officer, {
      applicationId: other.applicationId,
      sections: [section],
      reason: "Please say it in your own words.",
      due: "2026-12-04",
    });
    const { loaded } = await lookAt(world, other.applicationId);
    const version = loaded.facts.answers.find((a) => a.section === "statement" && a.field === "text")?.version ?? 0;
    const place = { ...section, entry: "", field: "text" };
    await must(world, saveAnswers, other.applicant, {
      applicationId: other.applicationId,
      changes: [{ ...place, value: textOf("Bob"), seen: version }],
    });
    await must(world, sendCorrections, other.applicant, { applicationId: other.applicationId, true: true });
    await compare(other.applicationId);
    expect([await alike(one), await alike(other)]).toEqual([[], []]);
  });

  it("stand side by side with the same passages marked, for those alone who may see both", async () => {
    const passage = COPIED.replace("ferries", "trawlers");
    const one = await sent("Cleo", `${textOf("Cleo")}\n${passage}`);
    const other = await sent("Dora", `${passage}\n${textOf("Dora")}`);
    const { otherId, statementId } = await first(other);
    const side = (actor: Actor) =>
      readView(world.runtime, statementComparison, actor, { number: other.number, otherId });
    const both = await side(officer);
    const joined = (pieces: readonly { text: string }[] | null | undefined) => pieces?.map((p) => p.text).join("");
    expect(joined(both?.own)).toBe(`${passage}\n${textOf("Dora")}`);
    expect(joined(both?.other)).toBe(`${textOf("Cleo")}\n${passage}`);
    expect(both?.own.filter((p) => p.passage !== null)).toEqual([{ text: passage.slice(0, -1), passage: 0 }]);
    expect(both?.other?.filter((p) => p.passage !== null)).toEqual([{ text: passage.slice(0, -1), passage: 0 }]);
    for (const actor of [elsewhere, one.applicant, other.applicant]) expect(await side(actor)).toBeNull();
    const act = { applicationId: other.applicationId, statementId, otherId, verdict: "harmless" as const };
    expect(await reasonOf(runAct(world.runtime, judgeLikeness, elsewhere, act))).toBe("not-yours");

    // An officer who holds one of the two programmes alone reads that one, and is told where the other is.
    await world.runtime.pool.query(
      `update choice set intake_id = (select i.id from intake i join programme p on p.id = i.programme_id where p.code = 'MES' limit 1) where id = $1`,
      [one.choiceId],
    );
    const boats = await makePerson(world, "Grace Officer", ["officer"], "GBC");
    const half = await side(boats);
    expect(half?.alike).toMatchObject({ other: null, programmes: ["MES"] });
    expect(half?.other).toBeNull();
    expect(half?.own).toEqual(both?.own);
    expect(await reasonOf(runAct(world.runtime, judgeLikeness, boats, act))).toBe("not-yours");
  });

  it("are told to the writer before, by passages of the own text alone", async () => {
    const esme = await sent("Esme", `${textOf("Esme")} ${COPIED.replace("grandmother", "neighbour")}`);
    const draft = await begun("Finn", textOf("Finn"));
    const look = (text: string, actor: Actor = draft.applicant) =>
      readView(world.runtime, writerLikeness, actor, {
        applicationId: draft.applicationId,
        scope: draft.choiceId,
        section: "statement",
        field: "text",
        text,
      });
    expect(await look(textOf("Finn"))).toEqual({ words: 0, passages: [] });
    const typed = `As I said: ${COPIED.replace("grandmother", "neighbour").toUpperCase()} And so on.`;
    expect(await look(typed)).toEqual({
      words: 26,
      passages: [COPIED.replace("grandmother", "neighbour").toUpperCase().slice(0, -1)],
    });
    expect(await look(typed, officer)).toBeNull();
    // Nobody is held against their own words.
    const own = { scope: esme.choiceId, section: "statement", field: "text", text: typed };
    const seen = await readView(world.runtime, writerLikeness, esme.applicant, {
      applicationId: esme.applicationId,
      ...own,
    });
    expect(seen?.words).toBe(0);
  });

  it("are no likeness where both repeat what the form says", async () => {
    const one = await sent("Gus", textOf("Gus"));
    const { loaded } = await lookAt(world, one.applicationId);
    const section = Object.values(loaded.rulebooks)
      .flatMap((r) => r.body.sections)
      .find((s) => s.key === "statement");
    const asked = `${section?.intro?.en} ${section?.fields[0]?.help?.en}`;
    expect(asked.length).toBeGreaterThan(100);
    await sent("Hal", `${asked} ${textOf("Hal")}`);
    expect(await alike(await sent("Ida", `${asked} ${textOf("Ida")}`))).toEqual([]);
  });
});
