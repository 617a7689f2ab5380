import { describe, expect, it } from "vitest";
import { answer, asField, section } from "../../demo/sample-sections";
import { placesOf } from "./places";

const contact = section({
  key: "home",
  core: "contact",
  fields: [
    asField("phone", "phone"),
    asField("street", "text"),
    asField("town", "text"),
    asField("country", "country"),
  ],
});
const letters = section({ key: "letters", fields: [asField("address", "address", { sameAs: "home" })] });
const guardian = section({
  key: "guardian",
  repeats: { min: 0, max: 2 },
  fields: [asField("name", "name"), asField("mobile", "phone")],
});
const SECTIONS = [contact, letters, guardian];
const given = (...answers: Parameters<typeof placesOf>[1]) =>
  placesOf(SECTIONS, answers).map((p) => [p.section, p.entry, p.field, p.kind, p.version, p.value]);

describe("where an application says that somebody is reached", () => {
  it("is nowhere while nothing is given", () => {
    expect(given()).toEqual([]);
    expect(given(answer("home//phone", ""), answer("home//town", "Merrow"), answer("guardian/a/name", "Ada"))).toEqual(
      [],
    );
  });

  it("is each number, in lists, too, and the contact address as one", () =>
    expect(
      given(
        { ...answer("home//town", "Merrow"), version: 3 },
        { ...answer("home//street", "1 Quay"), version: 2 },
        answer("guardian/a/mobile", "+353 1 700 1234"),
        answer("guardian/b/mobile", "+353 1 700 5678"),
      ),
    ).toEqual([
      ["home", "", "street", "address", 5, { street: "1 Quay", town: "Merrow" }],
      ["guardian", "a", "mobile", "phone", 1, "+353 1 700 1234"],
      ["guardian", "b", "mobile", "phone", 1, "+353 1 700 5678"],
    ]));

  it("tells where letters go: to the address that is marked, else to the contact address", () => {
    const marked = section({ key: "letters", fields: [asField("address", "address", { forLetters: true })] });
    const answers = [answer("home//street", "1 Quay"), answer("home//phone", "+353 1 700 1234")];
    const letters = (...more: Parameters<typeof placesOf>[1]) =>
      placesOf([contact, marked], [...answers, ...more])
        .filter((p) => p.letters)
        .map((p) => p.section);
    expect(letters()).toEqual(["home"]);
    expect(letters(answer("letters//address", { street: "2 Quay" }))).toEqual(["letters"]);
    expect(placesOf([contact], []).some((p) => p.letters)).toBe(false);
  });

  it("says of an address that is the same as another what the other is", () => {
    const home = answer("home//street", "1 Quay");
    const own = (value: Parameters<typeof answer>[1]) => given(home, answer("letters//address", value)).at(-1)?.at(-1);
    expect(own({ same: true })).toEqual({ street: "1 Quay" });
    expect(own({ street: "2 Quay" })).toEqual({ street: "2 Quay" });
    expect(placesOf([letters], [answer("letters//address", { same: true })])[0]?.value).toEqual({ same: true });
  });
});
