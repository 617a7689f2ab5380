import { describe, expect, it } from "vitest";
import { INVENTED_TESTS } from "../../../tests/support/invented-tests";
import { vectorsOf } from "../../../tests/support/vectors";
import { CEFR } from "../rules/compare";
import { type Day, parseDay } from "../time/day";
import { judgeSittings, type Minimum, type Sitting } from "./sittings";

interface Input {
  readonly requirement: {
    readonly test: string;
    readonly total?: number;
    readonly everySection?: number;
    readonly sections?: Readonly<Record<string, number>>;
    readonly cefr?: Minimum["level"];
    readonly mode?: Minimum["mode"];
    readonly referenceDate: string;
    readonly cutoff: string;
  };
  readonly sittings: readonly {
    readonly test: string;
    readonly date: string;
    readonly status: Sitting["status"];
    readonly expected?: string;
    readonly scores?: Readonly<Record<string, number | null>>;
  }[];
}

const day = (text: string): Day => parseDay(text) ?? 0;
const asText = (n: number) => String(n);

function verdictOf({ requirement: r, sittings }: Input) {
  const test = INVENTED_TESTS[r.test];
  if (!test) throw new Error(r.test);
  const minimum: Minimum = {
    test: r.test,
    mode: r.mode ?? "single",
    ...(r.total === undefined ? {} : { total: asText(r.total) }),
    ...(r.everySection === undefined ? {} : { every: asText(r.everySection) }),
    ...(r.sections
      ? { parts: Object.fromEntries(Object.entries(r.sections).map(([part, n]) => [part, asText(n)])) }
      : {}),
    ...(r.cefr === undefined ? {} : { level: r.cefr }),
  };
  const read = sittings
    .filter((s) => s.test === r.test)
    .map(
      (s): Sitting => ({
        date: parseDay(s.date),
        status: s.status,
        expected: s.expected ? parseDay(s.expected) : null,
        scores: Object.fromEntries(
          Object.entries(s.scores ?? {}).map(([part, n]) => [part, n === null ? "" : asText(n)]),
        ),
        confirmed: true,
      }),
    );
  return judgeSittings(test, minimum, read, day(r.referenceDate), day(r.cutoff));
}

const NAMES = { met: "met", "not met": "not_met", open: "unknown" } as const;

describe("a minimum over sittings", () => {
  it.each(vectorsOf<Input, unknown>("testRequirement"))("%s", (_, { input, expected }) => {
    const { truth, reasons } = verdictOf(input);
    expect({ verdict: NAMES[truth], reasons }).toEqual(expected);
  });

  const asked = { test: "norvane", total: 6.5, everySection: 6, referenceDate: "2027-01-15", cutoff: "2027-02-01" };
  const sitting = (scores: Record<string, number | null>, date = "2026-09-12") =>
    ({ test: "norvane", date, status: "final", scores }) as const;

  it("says exactly what is short, of the sitting that came nearest", () => {
    const { truth, counted } = verdictOf({
      requirement: asked,
      sittings: [sitting({ L: 5, R: 5, W: 5, S: 5 }), sitting({ L: 7, R: 6, W: 5.5, S: 6 }, "2026-10-01")],
    });
    expect(truth).toBe("not met");
    expect(counted).toMatchObject({
      total: "6",
      short: [
        { part: "W", needed: "6", got: "5.5" },
        { part: "total", needed: "6.5", got: "6" },
      ],
    });
  });
  it("a minimum of one part takes the place of that of every part", () =>
    expect(
      verdictOf({ requirement: { ...asked, sections: { W: 5 } }, sittings: [sitting({ L: 7, R: 7, W: 5, S: 7 })] })
        .truth,
    ).toBe("met"));
  it("a part that cannot be read and could not make up the total decides nothing else", () =>
    expect(
      verdictOf({ requirement: { ...asked, total: 9 }, sittings: [sitting({ L: 7, R: null, W: 7, S: 7 })] }).truth,
    ).toBe("not met"));
  it("an unreadable part of one sitting is made good by another where parts are combined", () =>
    expect(
      verdictOf({
        requirement: { ...asked, mode: "combine" },
        sittings: [sitting({ L: 7, R: null, W: 6.5, S: 7 }), sitting({ L: 6, R: 6.5, W: 6, S: 6 }, "2026-03-07")],
      }).truth,
    ).toBe("met"));
  it("a score that the test does not have is a question, not a failure", () =>
    expect(verdictOf({ requirement: asked, sittings: [sitting({ L: 6.3, R: 7, W: 7, S: 7 })] })).toMatchObject({
      truth: "open",
      reasons: ["score_not_on_scale"],
    }));
  it("what is short of a level is said of that level, not of a higher one", () =>
    expect(
      verdictOf({
        requirement: { test: "norvane", cefr: "B2", referenceDate: "2027-01-15", cutoff: "2027-02-01" },
        sittings: [sitting({ L: 5.5, R: 5.5, W: 4.5, S: 6.5 })],
      }).counted?.short,
    ).toEqual([{ part: "W", needed: "5", got: "4.5" }]));
  it("no sitting reaches nothing", () =>
    expect(verdictOf({ requirement: asked, sittings: [] })).toMatchObject({
      truth: "not met",
      reasons: [],
      counted: null,
    }));
});

describe("levels", () => {
  it.each(vectorsOf<{ have: (typeof CEFR)[number]; want: (typeof CEFR)[number] }, boolean>("cefrAtLeast"))(
    "%s",
    (_, { input, expected }) => expect(CEFR.indexOf(input.have) >= CEFR.indexOf(input.want)).toBe(expected),
  );
});
