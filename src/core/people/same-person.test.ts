import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { vectorsOf } from "../../../tests/support/vectors";
import { compareBirthDates } from "./birth-dates";
import { emailKey } from "./email-key";
import { wide } from "./fold";
import { jaroWinkler, nameSimilarity } from "./name-similarity";
import { candidateKeys, comparePeople, type PersonKeys } from "./same-person";

interface Written {
  readonly name: string;
  readonly dob?: string;
  readonly email?: string;
  readonly doc?: readonly [string, string];
}
const person = ({ name, dob, email, doc }: Written): PersonKeys => ({
  name,
  birthDate: dob ?? "",
  email: email ?? null,
  document: doc ?? null,
});
const four = (n: number) => Number(n.toFixed(4));

describe("the likeness of words and names", () => {
  it.each(vectorsOf<{ name: string }, string>("wide"))("%s", (_, { input, expected }) =>
    expect(wide(input.name)).toBe(expected),
  );
  it.each(vectorsOf<{ a: string; b: string }, number>("jaroWinkler"))("%s", (_, { input, expected }) =>
    expect(four(jaroWinkler(input.a, input.b))).toBe(expected),
  );
  it.each([
    ["", "", 1],
    ["abc", "", 0],
    ["abc", "xyz", 0],
  ])("of %j and %j is %d", (a, b, expected) => expect(jaroWinkler(a, b)).toBe(expected));
  it("is the same from both sides, never above one, and one for oneself", () => {
    const word = fc.string({ unit: fc.constantFrom("a", "b", "e", "n", "r"), maxLength: 8 });
    fc.assert(
      fc.property(word, word, (a, b) => {
        const there = jaroWinkler(a, b);
        return there <= 1 && there >= 0 && Math.abs(there - jaroWinkler(b, a)) < 0.2 && jaroWinkler(a, a) === 1;
      }),
    );
  });
  it.each([
    ["J. Vogtlin", "Jana Vogtlin", 0.925],
    ["Li Xiaoming", "Li Xiao Ming", 1],
    ["", "Anna", 0],
    ["Anna", "Anna Maria Lund", 0.8],
  ])("of the names %j and %j is %d", (a, b, expected) => expect(four(nameSimilarity(a, b).score)).toBe(expected));
  it("does not hang on the order of the words", () => {
    const name = fc.array(fc.constantFrom("anna", "maria", "lund", "ana", "de"), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(name, name, (a, b) => {
        const likeness = nameSimilarity(a.join(" "), b.join(" ")).score;
        // Names that are one once their blanks are gone are one by definition; that does hang on the order.
        if (likeness === 1 || a.join("") === [...b].reverse().join("")) return true;
        return Math.abs(likeness - nameSimilarity(a.join(" "), [...b].reverse().join(" ")).score) < 1e-9;
      }),
    );
  });
});

describe("dates of birth", () => {
  it.each(vectorsOf<{ a: string; b: string }, string>("dob"))("%s", (_, { input, expected }) =>
    expect(compareBirthDates(input.a, input.b)).toBe(expected),
  );
  it.each([
    ["2004-05-17", "2004-05-17", "equal"],
    ["2004-05-07", "2004-07-05", "swap"],
    ["2004-05-17", "2004-05-71", "near"],
    ["2004-05-17", "2040-05-17", "near"],
    ["2004-05-17", "2004-06-18", "different"],
    ["2004-05", "2004-05", "compatible"],
    ["2004-05", "2004-06-17", "different"],
    ["", "2004-06-17", "unknown"],
  ])("%s and %s are %s", (a, b, expected) => {
    expect(compareBirthDates(a, b)).toBe(expected);
    expect(compareBirthDates(b, a)).toBe(expected);
  });
});

describe("addresses", () => {
  it.each(vectorsOf<{ email: string }, string>("emailKey"))("%s", (_, { input, expected }) =>
    expect(emailKey(input.email)).toBe(expected),
  );
  it.each(["", "anna", "anna@", "@home.example", "a@b@c.example", "anna@home"])("%j is none", (email) =>
    expect(emailKey(email)).toBeNull(),
  );
  it("keeps dots before the sign, and drops one at the end", () =>
    expect(emailKey("an.na@HOME.example.")).toBe("an.na@home.example"));
});

describe("whether two people are one", () => {
  interface Expected {
    readonly verdict: string;
    readonly name: number;
    readonly weakest: number;
    readonly dob: string;
    readonly email: boolean;
    readonly doc: boolean;
  }
  it.each(vectorsOf<{ a: Written; b: Written }, Expected>("comparePeople"))("%s", (_, { input, expected }) => {
    const seen = comparePeople(person(input.a), person(input.b));
    expect({
      verdict: seen.verdict,
      name: four(seen.name),
      weakest: four(seen.weakest),
      dob: seen.birthDates,
      email: seen.email,
      doc: seen.document,
    }).toEqual(expected);
  });

  it("is the same from both sides", () => {
    const anyone = fc.record({
      name: fc.constantFrom("Ana García López", "Ana Garcia", "Anna Lund", "Lund Anna", "Jürgen Müller", "Mueller J."),
      dob: fc.constantFrom("2003-11-02", "2003-02-11", "2003", ""),
    });
    fc.assert(
      fc.property(
        anyone,
        anyone,
        (a, b) => comparePeople(person(a), person(b)).verdict === comparePeople(person(b), person(a)).verdict,
      ),
    );
  });

  it("are brought together by a word, a date, an address or a document", () => {
    const keys = candidateKeys(
      person({ name: "Ana García Li", dob: "2003-11-02", email: "Ana+x@home.example", doc: ["SUR", "r 12-3"] }),
    );
    expect(keys).toEqual(["name ana", "name garcia", "born 2003-11-02", "mail ana@home.example", "document SUR R123"]);
  });
  it("share a key whenever they are not different, but for names that agree in no word", () => {
    for (const [, { input, expected }] of vectorsOf<{ a: Written; b: Written }, Expected>("comparePeople")) {
      if (expected.verdict === "different") continue;
      const other = new Set(candidateKeys(person(input.b)));
      expect(candidateKeys(person(input.a)).some((key) => other.has(key))).toBe(true);
    }
  });
});

describe("a name of before", () => {
  const born = { birthDate: "2003-04-11", email: null, document: null };
  const married = { name: "Anna Lindqvist", formerNames: ["Anna Bergman"], ...born };
  const single = { name: "Anna Bergman", ...born };

  it("makes one person of two files, and says that it was the former one", () => {
    expect(comparePeople(married, single)).toMatchObject({ verdict: "same", byFormerName: true });
    expect(comparePeople(single, married)).toMatchObject({ verdict: "same", byFormerName: true });
  });

  it("is not looked at where the present names agree, nor does it make others one", () => {
    expect(comparePeople(married, { ...single, name: "Anna Lindqvist" })).toMatchObject({ byFormerName: false });
    expect(comparePeople(married, { ...single, name: "Pedro Anselmo Vaz" }).verdict).toBe("different");
  });

  it("brings the two together in the first place", () => {
    const shared = candidateKeys(married).filter((key) => candidateKeys(single).includes(key));
    expect(shared).toContain("name bergman");
  });
});
