import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { joinAccounts, partAccounts } from "../../src/acts/people/join-accounts";
import { judgeSamePerson } from "../../src/acts/people/same-person";
import { maskedAddress } from "../../src/core/people/masked-address";
import type { Actor } from "../../src/core/rights/actor";
import { loadCatalogue } from "../../src/demo/catalogue";
import { someone } from "../../src/demo/people";
import { myApplication } from "../../src/views/application/my-application";
import { myApplications } from "../../src/views/application/my-applications";
import { file as fileView } from "../../src/views/assessment/file";
import { joinedInto } from "../../src/views/people/joined-into";
import { readView } from "../../src/views/view/view";
import { filledFile, lookAt } from "../support/files";
import { makePerson, must, openWorld, reasonOf, type World } from "../support/world";

/** Two accounts of one person, both with a file in the same cycle: brought together, and taken apart again. */
describe("two accounts of one person", () => {
  let world: World;
  let lead: Actor;
  let roundId = "";
  const files: { id: string; number: string; owner: Actor; personId: string }[] = [];

  beforeAll(async () => {
    world = await openWorld("join_accounts");
    lead = await makePerson(world, "Tadhg Breen", ["lead officer"]);
    ({ roundId } = await loadCatalogue(world.runtime, "2026-11-25"));
    for (const family of ["Zielińska", "Zielinska"]) {
      const who = someone("Katarzyna", family, { birthDate: "2002-12-01", passportNumber: "EK7741902" });
      const { applicationId, owner } = await filledFile(world, roundId, who);
      const { loaded } = await lookAt(world, applicationId);
      const { number } = loaded.facts.application;
      const personId = owner.kind === "person" ? owner.id : "";
      files.push({ id: applicationId, number, owner, personId });
    }
    await world.runtime.pool.query(
      `with u as (insert into auth_user (id, name, email, created_at, updated_at) values ('u2', 'K', 'k2@people.example', now(), now())),
         a as (insert into auth_account (id, account_id, provider_id, user_id, password, created_at, updated_at) values ('a2', 'u2', 'credential', 'u2', 'hash', now(), now())),
         s as (insert into auth_session (id, user_id, token, expires_at, created_at, updated_at) values ('s2', 'u2', 't2', now() + interval '1 day', now(), now()))
       update person set account_id = 'u2' where id = $1`,
      [files[1]?.personId],
    );
  });
  afterAll(() => world.close());

  const [first, second] = [() => at(0), () => at(1)];
  const at = (i: number) => {
    const found = files[i];
    if (!found) throw new Error("no file");
    return found;
  };
  const join = (keep: "this" | "other" = "this", actor = lead) =>
    runAct(world.runtime, joinAccounts, actor, {
      applicationId: first().id,
      otherNumber: second().number,
      keep,
      reason: "She wrote so",
    });
  const own = async (owner: Actor) => (await readView(world.runtime, myApplications, owner, {}))?.map((l) => l.number);
  const account = async (number: string) => (await readView(world.runtime, fileView, lead, { number }))?.account;
  const told = async (personId: string) =>
    (
      await world.runtime.pool.query<{ template: string; values: Record<string, string> }>(
        "select template, values from message where person_id = $1 and template like 'account%' order by queued_at, template",
        [personId],
      )
    ).rows.map(({ template, values }) => [template, values.numbers]);

  it("are brought together only once it is said that they are one person's, by whoever leads all their programmes", async () => {
    expect(await reasonOf(join())).toBe("not-confirmed");
    await must(world, judgeSamePerson, lead, {
      applicationId: first().id,
      otherNumber: second().number,
      verdict: "same",
    });
    expect(await reasonOf(join("this", await makePerson(world, "Officer", ["officer"])))).toBe("not-yours");
    expect(await reasonOf(join("this", await makePerson(world, "Elsewhere", ["lead officer"], "FYC")))).toBe(
      "not-yours",
    );
  });

  it("become one: all files in it, the other closed, both told, nothing else changed", async () => {
    const before = await lookAt(world, second().id);
    await must(world, joinAccounts, lead, {
      applicationId: first().id,
      otherNumber: second().number,
      keep: "this",
      reason: "She wrote so",
    });
    expect(await own(first().owner)).toEqual([second().number, first().number].sort().reverse());
    expect(await own(second().owner)).toEqual([]);
    expect(await readView(world.runtime, myApplication, second().owner, { number: second().number })).toBeNull();
    expect(await readView(world.runtime, myApplication, first().owner, { number: second().number })).not.toBeNull();
    const { result } = await lookAt(world, second().id);
    expect(result.requirements).toEqual(before.result.requirements);
    const { rows } = await world.runtime.pool.query(
      "select (select password from auth_account where id = 'a2') as password, (select count(*)::int from auth_session where user_id = 'u2') as sessions",
    );
    expect(rows).toEqual([{ password: null, sessions: 0 }]);
    expect(await told(first().personId)).toEqual([["accounts-joined", second().number]]);
    expect(await told(second().personId)).toEqual([["account-given", second().number]]);
    expect(await readView(world.runtime, joinedInto, first().owner, {})).toEqual({ account: null });
    expect((await readView(world.runtime, joinedInto, second().owner, {}))?.account).toMatch(/^.…@/u);
    expect(await reasonOf(join())).toBe("already-done");
  });

  it("show each other, with where they came from", async () => {
    expect(await account(first().number)).toMatchObject({
      others: [{ number: second().number, programmes: ["MES"] }],
      joined: { numbers: [second().number], reason: "She wrote so", by: "Tadhg Breen", isOfThem: false },
    });
    expect(await account(second().number)).toMatchObject({
      others: [{ number: first().number }],
      joined: { isOfThem: true },
    });
  });

  it("go on with one file of a cycle: a further programme goes into their own", async () => {
    const { rows } = await world.runtime.pool.query<{ id: string }>(
      `select r.id from round r join intake i on i.id = r.intake_id join programme p on p.id = i.programme_id
       where p.code <> 'MES' and p.procedure_id = (select procedure_id from application where id = $1)
         and i.cycle_id = (select cycle_id from application where id = $1)`,
      [first().id],
    );
    const begun = [];
    for (const { id } of rows)
      begun.push(await runAct(world.runtime, startApplication, first().owner, { roundId: id }));
    const numbers = begun.flatMap((b) => (b.ok ? [b.value.number] : []));
    expect(new Set(numbers)).toEqual(new Set([first().number]));
  });

  it("are taken apart again, from either file", async () => {
    await must(world, partAccounts, lead, { applicationId: second().id, reason: "They are sisters" });
    expect(await own(first().owner)).toEqual([first().number]);
    expect(await own(second().owner)).toEqual([second().number]);
    expect((await account(first().number))?.joined).toBeNull();
    expect((await told(second().personId)).at(-1)).toEqual(["accounts-parted", second().number]);
    const parted = runAct(world.runtime, partAccounts, lead, { applicationId: second().id, reason: "Again" });
    expect(await reasonOf(parted)).toBe("not-found");
    // And may be brought together again, the other way.
    expect((await join("other")).ok).toBe(true);
    expect(await own(second().owner)).toEqual([second().number, first().number].sort().reverse());
  });

  it("learn no more of each other's address than its owner knows anyway", () => {
    expect(maskedAddress("katarzyna@people.example")).toBe("k…@people.example");
    expect(maskedAddress("@")).toBe("…");
  });
});
