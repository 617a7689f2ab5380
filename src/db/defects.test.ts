import { DrizzleQueryError } from "drizzle-orm";
import pg from "pg";
import { describe, expect, it } from "vitest";
import { describeDefect, loggedPath } from "./defects";

/** A log holds enough to find a defect, and nothing that a person typed. */
describe("the note of a defect", () => {
  it("holds name, message and where it happened", () => {
    const note = describeDefect(new TypeError("Cannot read properties of undefined (reading 'place')"));
    expect(note).toMatchObject({ name: "TypeError", message: "Cannot read properties of undefined (reading 'place')" });
    expect(note.stack[0]).toMatch(/^at .*defects\.test\.ts/u);
  });

  it.each([
    ["a text that could not be read", 'Unexpected token H in JSON at position 0, "Hello Ann" is not valid'],
    ["an address", "no mailbox ann.smith@people.example there"],
    ["a long figure", "the number 4711000815 is taken"],
    ["quoted words", "the name “Ann Smith” is not known"],
  ])("leaves out %s", (_, message) => {
    const { stack, ...note } = describeDefect(new Error(message));
    expect(JSON.stringify(note)).not.toMatch(/Ann|ann\.smith|4711/u);
    expect(stack.join(" ")).not.toMatch(/Ann|ann\.smith|4711/u);
    expect(note.message).toContain("…");
  });

  it("holds the code of what the database refused, never its values", () => {
    const refused = new pg.DatabaseError("duplicate key value", 0, "error");
    Object.assign(refused, {
      code: "23505",
      detail: "Key (email)=(ann@people.example) already exists.",
      constraint: "person_email_unique",
    });
    const query = new DrizzleQueryError("insert into person", ["Ann Smith", "ann@people.example"], refused);
    const note = describeDefect(query);
    expect(note).toMatchObject({ code: "23505" });
    expect(note.message).toContain("person_email_unique");
    expect(JSON.stringify(note)).not.toMatch(/Ann|ann@/u);
  });

  it("follows causes, and takes whatever was thrown", () => {
    expect(describeDefect(new Error("outer", { cause: undefined })).cause).toBeUndefined();
    expect(describeDefect("Ann Smith")).toEqual({ name: "string", message: "", stack: [] });
    expect(describeDefect(null).name).toBe("object");
  });
});

describe("the path of a request in a log", () => {
  it.each([
    ["/link/abcdefgh?x=1", "/link/…"],
    ["/reference/abcdefgh", "/reference/…"],
    ["/sign/abcdefgh/more", "/sign/…/more"],
    ["/interest/abc", "/interest/…"],
    ["/my/27-00001?find=somebody", "/my/27-00001"],
    ["/office", "/office"],
  ])("%s is %s", (path, logged) => expect(loggedPath(path)).toBe(logged));
});
