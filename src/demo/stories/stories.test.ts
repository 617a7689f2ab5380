import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { openWorld, type World } from "../../../tests/support/world";
import { makeAuth } from "../../auth/better-auth";
import { assess } from "../../core/assessment/assess";
import { assessAndExplain } from "../../core/assessment/explain";
import { restsOn } from "../../core/difference/affected-by-change";
import type { LoadedFile } from "../../core/file/loaded-file";
import type { ExplainedAssessment } from "../../core/file/result";
import type { PlainDate } from "../../core/ids";
import { becauseOf } from "../../core/rules/verdict";
import { makeOffice, type ReferenceSet } from "../../core/standards/reference-set";
import { requireDay } from "../../core/time/zone";
import { database } from "../../db/connection";
import { affectingNames } from "../../db/queries/affected";
import { loadFile, loadFiles } from "../../db/queries/load-file";
import { currentOffice } from "../../db/queries/office";
import { stepDeed } from "../../text/words/office";
import { leafSentence, localTitles } from "../../text/words/trace";
import { verifyAll } from "../../verify";
import { titlesOf } from "../../views/form/fact-titles";
import { startOfStudies } from "../catalogue";
import { loadDemo } from "../demo";
import { referenceSet } from "../reference-set";
import type { Moment, Story } from "../story";
import { stories } from "./index";

const ANCHOR = "2026-11-25" as PlainDate;
const told = stories(ANCHOR, startOfStudies(ANCHOR) as PlainDate);

/** A day, counted from the anchor. */
const fromAnchor = (day: PlainDate): string => {
  const days = requireDay(day) - requireDay(ANCHOR);
  return days < 0 ? `−${-days}` : `+${days}`;
};

/** Findings as an officer would tell them to a colleague: how each stands, and for those that are not met what decides it. */
function findingLines(assessment: ExplainedAssessment, loaded: LoadedFile): readonly string[] {
  return assessment.choices.flatMap((choice) => {
    const body = loaded.rulebooks[loaded.facts.choices.find((c) => c.id === choice.id)?.rulebookId ?? ""]?.body;
    const titles = body ? localTitles(titlesOf(body, referenceSet), "en") : {};
    return choice.findings.map((f) => {
      const because = f.finding === "met" ? [] : becauseOf(f.trace).map((leaf) => leafSentence(leaf, titles));
      const why = because.length > 0 ? `: ${[...new Set(because)].join(" / ")}` : "";
      const basis = f.overrides === null ? f.basis : `overridden, was ${f.overrides}`;
      return `${choice.programme} ${f.key}: ${f.finding} (${basis})${why}`;
    });
  });
}

/** What an officer finds in a file after a moment of its story; of the findings only those that it changed. */
function stepLines(moment: Moment, loaded: LoadedFile, assessment: ExplainedAssessment, before: readonly string[]) {
  const { stage, turn, next } = assessment.file;
  const due = next?.due ? ` by ${fromAnchor(next.due)}` : "";
  const what = next ? `${turn} has to ${stepDeed({ ...next, title: next.title?.en })}${due}` : `${turn}’s turn`;
  const findings = findingLines(assessment, loaded);
  const day = moment.day < 0 ? `−${-moment.day}` : `+${moment.day}`;
  const changed = findings.filter((line) => !before.includes(line));
  // What is met alike stands in one line.
  const alike = new Map<string, string[]>();
  for (const line of changed) {
    const [name = "", said = ""] = line.split(/: (.*)/u);
    alike.set(said, [...(alike.get(said) ?? []), name]);
  }
  return {
    findings,
    lines: [
      `${day} ${moment.do}: ${stage}; ${what}`,
      ...[...alike].map(([said, names]) => `    ${names.join(", ")}: ${said}`),
    ],
  };
}

/** The standards without one of their scales, tests, subject areas, papers or lists, each in its turn. */
function oneThingGone(set: ReferenceSet) {
  const without = <K extends "scales" | "tests" | "areas" | "papers" | "entitlements">(list: K) =>
    set[list].map(({ key }) => ({
      what: `${list} ${key}`,
      set: { ...set, [list]: set[list].filter((item) => item.key !== key) },
    }));
  return [
    ...without("scales"),
    ...without("tests"),
    ...without("areas"),
    ...without("papers"),
    ...without("entitlements"),
  ];
}

describe("the demo's stories", () => {
  let world: World;
  let numbers = new Map<string, string>();
  const steps = new Map<string, { readonly lines: string[]; findings: readonly string[] }>();

  async function after(story: Story, moment: Moment, applicationId: string): Promise<void> {
    const loaded = await loadFile(world.runtime.pool, applicationId);
    if (!loaded) throw new Error("no file");
    const office = await currentOffice(database(world.runtime.pool));
    const assessment = assessAndExplain({ ...loaded, office, at: world.runtime.now().getTime() });
    const known = steps.get(story.key) ?? { lines: [], findings: [] };
    const { lines, findings } = stepLines(moment, loaded, assessment, known.findings);
    known.lines.push(...lines);
    known.findings = findings;
    steps.set(story.key, known);
  }

  beforeAll(async () => {
    world = await openWorld("stories");
    const settings = { url: "http://127.0.0.1:1", secret: "a secret of at least thirty-two signs" };
    const made = await loadDemo(
      {
        runtime: world.runtime,
        auth: makeAuth(database(world.runtime.pool), settings),
        baseUrl: settings.url,
        moveTo: (at) => world.at(at.toISOString()),
        say: () => undefined,
        after,
      },
      ANCHOR,
    );
    numbers = new Map(made.map((m) => [m.key, m.number]));
  });
  afterAll(() => world.close());

  it.each(told.map((s) => [s.key, s] as const))("%s", async (key, story) => {
    const { rows } = await world.runtime.pool.query<{ id: string }>("select id from application where number = $1", [
      numbers.get(key),
    ]);
    const loaded = await loadFile(world.runtime.pool, rows[0]?.id ?? "");
    if (!loaded) throw new Error("no file");
    const office = await currentOffice(database(world.runtime.pool));
    const { file, choices } = assess({ ...loaded, office, at: world.runtime.now().getTime() });
    const { stage, turn, next, requirement, findings, eligibility } = story.expects;
    expect([file.stage, file.turn, file.next?.kind ?? null]).toEqual([stage, turn, next]);
    if (requirement) expect(file.next?.requirement).toBe(requirement);
    if (eligibility) expect(choices[0]?.eligibility).toBe(eligibility);
    for (const [rule, finding] of Object.entries(findings ?? {}))
      expect([rule, choices[0]?.findings.find((f) => f.key === rule)?.finding]).toEqual([rule, finding]);
  });

  it("say at each step whose turn it is, by when, and what the entry rules find and why", async () => {
    const text = told.map((s) =>
      [s.key, `  ${s.tells}`, ...(steps.get(s.key)?.lines ?? []).map((l) => `  ${l}`), ""].join("\n"),
    );
    await expect(text.join("\n")).toMatchFileSnapshot("steps.txt");
  });

  it("are stored just as they are assessed anew", async () => {
    expect(await verifyAll(world.runtime.pool)).toEqual({ files: told.length, differing: [] });
  });

  it("rest on all of the standards that could change how they stand", async () => {
    const { pool } = world.runtime;
    const { rows } = await pool.query<{ id: string }>("select id from application");
    const files = await loadFiles(
      pool,
      rows.map((r) => r.id),
    );
    const at = world.runtime.now().getTime();
    const standing = (file: LoadedFile, set: ReferenceSet) =>
      JSON.stringify(assess({ ...file, office: makeOffice(2, set), at }));
    let [passedOver, changed] = [0, 0];
    for (const { what, set } of oneThingGone(referenceSet)) {
      const names = await affectingNames(pool, referenceSet, set);
      for (const file of files) {
        const own = restsOn(file.facts.answers, file.facts.confirmations, file.rulebooks);
        const touched = names?.some((name) => own.includes(name)) ?? true;
        const differs = standing(file, set) !== standing(file, referenceSet);
        if (differs) expect([what, file.facts.application.number, touched]).toEqual([what, expect.anything(), true]);
        passedOver += touched ? 0 : 1;
        changed += differs ? 1 : 0;
      }
    }
    expect(passedOver).toBeGreaterThan(100);
    expect(changed).toBeGreaterThan(20);
  });

  it("left no personal value in an event", async () => {
    const { rows } = await world.runtime.pool.query<{ about: string }>("select about::text as about from event");
    const text = rows.map((r) => r.about).join("\n");
    for (const { profile } of told)
      for (const value of [profile.family, profile.email, profile.passportNumber]) expect(text).not.toContain(value);
  });
});
