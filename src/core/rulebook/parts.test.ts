import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PROGRAMMES } from "../../demo/programmes";
import { mes } from "../../demo/rulebooks/mes";
import { SHARED_PARTS } from "../../demo/rulebooks/shared";
import { compareRulebooks } from "../difference/rulebooks";
import {
  isCurrent,
  leaveOut,
  leftOutOf,
  ownPart,
  partsIn,
  recogniseParts,
  type SharedPart,
  sharedWith,
  takePart,
  withoutPart,
  withParts,
} from "./parts";
import { EMPTY_RULEBOOK, type RulebookBody, rulebookSchema } from "./rulebook";

const bodies = PROGRAMMES.map((p) => [p.programme.code, rulebookSchema.parse(p.rulebook)] as const);
const person = SHARED_PARTS.find((p) => p.key === "person") as SharedPart;
const contactTitle = person.body.sections.find((s) => s.key === "contact")?.title.en;
const keys = (body: RulebookBody) => body.sections.map((s) => s.key);
/** The part with its first section’s title changed, a section taken out and another put in. */
const changed: SharedPart = {
  ...person,
  body: {
    ...person.body,
    sections: [
      ...person.body.sections
        .filter((s) => s.key !== "contact")
        .map((s, i) => (i === 0 ? { ...s, title: { en: "Who you are", fr: "Qui vous êtes" } } : s)),
      { key: "nickname", core: null, scope: "file", title: { en: "Nickname", fr: "Surnom" }, fields: [] },
    ],
  },
};

describe("parts that rulebooks share", () => {
  it.each(bodies)("%s: what is the same as a part is marked, and nothing else changes", (code, body) => {
    const marked = recogniseParts(body, SHARED_PARTS);
    // The foundation year takes other papers, so what it asks of a person is its own.
    expect(partsIn(marked)).toContain(code === "FYC" ? "declaration" : "person");
    expect(compareRulebooks(body, marked)).toEqual([]);
  });

  it("are taken over as the part has them now: changed, gone and new ones alike", () => {
    const marked = recogniseParts(mes, SHARED_PARTS);
    const fresh = withParts(marked, [changed]);
    expect(keys(fresh)).toEqual(
      keys(mes).flatMap((k) => (k === "contact" ? [] : k === "citizenship" ? [k, "nickname"] : [k])),
    );
    expect(fresh.sections[0]?.title.en).toBe("Who you are");
    expect([isCurrent(marked, changed), isCurrent(fresh, changed)]).toEqual([false, true]);
  });

  it("leave alone what a rulebook has made its own", () => {
    const own = ownPart(recogniseParts(mes, SHARED_PARTS), "person");
    expect(withParts(own, [changed])).toEqual(own);
  });

  it("can be taken out of a rulebook, whole or piece by piece, and stay out when the part changes", () => {
    const marked = recogniseParts(mes, SHARED_PARTS);
    const without = leaveOut(marked, "sections", "contact");
    expect([keys(without).includes("contact"), leftOutOf(without, person)]).toEqual([false, [contactTitle]]);
    expect(isCurrent(without, person)).toBe(true);
    expect(keys(withParts(without, [person]))).toEqual(keys(without));
    // All of it comes back in at once, and nothing is left to say.
    const again = takePart(without, person);
    expect([keys(again).includes("contact"), again.without]).toEqual([true, undefined]);
    const gone = withoutPart(without, "person");
    expect([partsIn(gone).includes("person"), gone.without, withParts(gone, [person])]).toEqual([
      false,
      undefined,
      gone,
    ]);
    expect(leaveOut(marked, "sections", "motivation")).toBe(marked); // nothing of a part
    expect(rulebookSchema.parse(without)).toEqual(without);
  });

  it("leave a copy as it is when the part is gone", () => {
    const marked = recogniseParts(mes, SHARED_PARTS);
    expect(withParts(marked, [])).toEqual(marked);
  });

  it("never take the place of something of the rulebook’s own by the same key", () => {
    const nickname = {
      key: "nickname",
      core: null,
      scope: "file" as const,
      title: { en: "Own", fr: "À nous" },
      fields: [],
    };
    const marked = recogniseParts(mes, SHARED_PARTS);
    const fresh = withParts({ ...marked, sections: [...marked.sections, nickname] }, [changed]);
    expect(fresh.sections.filter((s) => s.key === "nickname")).toEqual([nickname]);
  });

  it.each(SHARED_PARTS.map((p) => [p.key, p] as const))(
    "%s: put into an empty rulebook it is whole and current",
    (_, part) => {
      const body = takePart(EMPTY_RULEBOOK, part);
      expect(isCurrent(body, part)).toBe(true);
      expect(partsIn(body)).toEqual([part.key]);
      expect(rulebookSchema.safeParse(body).success).toBe(true);
    },
  );

  it("adopt what the rulebook has by the same key", () => {
    const taken = takePart(mes, person);
    expect(keys(taken)).toEqual(keys(mes));
    expect(isCurrent(taken, person)).toBe(true);
  });

  it("grow by an element that is shared", () => {
    const [fee] = mes.fees;
    if (!fee) throw new Error("no fee");
    const elsewhere = { ...fee, part: "elsewhere" };
    const grown = sharedWith(person, "fees", elsewhere);
    expect(grown.body.fees).toEqual([fee]);
    expect(sharedWith(grown, "fees", fee)).toEqual(grown);
  });

  it("come to rest: taken over twice is taken over once", () => {
    const parts = fc.subarray([...SHARED_PARTS, changed]);
    fc.assert(
      fc.property(fc.constantFrom(...bodies.map(([, body]) => body)), parts, parts, (body, first, second) => {
        const start = first.reduce((all, part) => takePart(all, part), body);
        const once = withParts(start, second);
        expect(withParts(once, second)).toEqual(once);
      }),
    );
  });
});
