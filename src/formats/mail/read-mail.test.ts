import { describe, expect, it } from "vitest";
import { composeAnswer, composeReturn } from "../../outside/mailbox";
import { readMail } from "./read-mail";

const ID = "0f8fad5b-d9cb-469f-a165-70867728950e";

const raw = (...lines: readonly string[]): Buffer => Buffer.from(lines.join("\r\n"), "utf8");
const HEAD = ["From: Ilse Maarteen-Quist <ILSE@people.example>", "Message-ID: <1@people.example>"];

describe("a mail that came in", () => {
  it("is read with what hangs on it and what it answers", async () => {
    const mail = await readMail(
      await composeAnswer({
        from: "Ilse Maarteen-Quist <ilse@people.example>",
        to: "office@merrow.example",
        subject: "Ré: No. 27-00012",
        text: "Here it is.",
        answers: ID,
        files: [{ name: "Diplôme.pdf", bytes: Buffer.from("%PDF-1.4") }],
      }),
    );
    expect(mail).toMatchObject({
      from: { address: "ilse@people.example", name: "Ilse Maarteen-Quist" },
      subject: "Ré: No. 27-00012",
      text: "Here it is.",
      written: "Here it is.",
      answers: [ID],
      kind: "written",
      returned: null,
    });
    expect(mail.parts.map((p) => [p.name, Buffer.from(p.bytes).toString()])).toEqual([["Diplôme.pdf", "%PDF-1.4"]]);
  });

  it.each([
    ["English", "Yes, both.", "On Tue, 1 Dec 2026 at 14:00, The office <o@m.example> wrote:"],
    ["French", "Oui, les deux.", "Le mar. 1 déc. 2026 à 14:00, Le bureau <o@m.example> a écrit :"],
  ])("keeps what its sender wrote apart from what is quoted, in %s", async (_, words, line) => {
    const mail = await readMail(
      raw(
        ...HEAD,
        "Content-Type: text/plain; charset=utf-8",
        "",
        words,
        "",
        line,
        "> Are both names yours?",
        ">",
        "> The office",
      ),
    );
    expect(mail.written).toBe(words);
    expect(mail.text).toContain("> Are both names yours?");
  });

  it("is read from its HTML where it has no plain text, without anything that runs", async () => {
    const html = "<p>Good <b>morning</b></p><script>alert(1)</script><style>p{}</style><p>Ilse</p>";
    const mail = await readMail(raw(...HEAD, "Content-Type: text/html; charset=utf-8", "", html));
    expect(mail.text.split(/\n+/u)).toEqual(["Good morning", "Ilse"]);
  });

  it.each([
    ["away from the desk", ["Auto-Submitted: auto-replied"], "automatic"],
    ["of a list", ["Precedence: bulk"], "automatic"],
    ["of a person whose program says so", ["Auto-Submitted: no"], "written"],
  ])("knows a mail %s", async (_, heads, kind) => {
    expect((await readMail(raw(...HEAD, ...heads, "", "Hello"))).kind).toBe(kind);
  });

  it("knows the report of a server, which mail came back, and that it is final", async () => {
    const mail = await readMail(await composeReturn({ messageId: ID, to: "nobody@people.example" }));
    expect(mail).toMatchObject({
      kind: "returned",
      answers: [ID],
      returned: { final: true, reason: "550 5.1.1 no such mailbox" },
      parts: [],
    });
  });

  it.each([
    ["that it is late", "Action: delayed", "Status: 4.4.1", { final: false }],
    ["of a full mailbox", "Action: failed", "Status: 4.2.2", { final: false }],
    ["that it arrived", "Action: delivered", "Status: 2.0.0", null],
  ])("takes a report %s for nothing final", async (_, action, status, returned) => {
    const made = (await composeReturn({ messageId: ID, to: "x@people.example" })).toString();
    const mail = await readMail(Buffer.from(made.replace("Action: failed", action).replace("Status: 5.1.1", status)));
    if (returned === null) expect(mail.returned).toBeNull();
    else expect(mail.returned).toMatchObject(returned);
    expect(mail.kind).not.toBe("written");
  });

  it("leaves out the pictures of a signature, and names what has no name", async () => {
    const mail = await readMail(
      raw(
        ...HEAD,
        'Content-Type: multipart/mixed; boundary="b"',
        "",
        "--b",
        "Content-Type: text/plain",
        "",
        "Hello",
        "--b",
        "Content-Type: image/png",
        "Content-ID: <logo>",
        'Content-Disposition: inline; filename="logo.png"',
        "",
        "x",
        "--b",
        "Content-Type: application/pdf",
        "Content-Disposition: attachment",
        "",
        "%PDF-1.4",
        "--b--",
      ),
    );
    expect(mail.parts.map((p) => p.name)).toEqual(["document 1"]);
  });

  it("keeps nothing that no column holds", async () => {
    const mail = await readMail(raw(...HEAD, "Subject: a\0b", "", "c\0d"));
    expect([mail.subject, mail.text]).toEqual(["ab", "cd"]);
  });

  it.each([
    ["no mail", raw("hello")],
    ["a mail without a sender", raw("Message-ID: <1@people.example>", "", "Hello")],
    ["a mail without an id", raw("From: a@people.example", "", "Hello")],
    ["parts within parts without end", raw(...HEAD, ...nested(200))],
  ])("refuses %s", async (_, bytes) => {
    await expect(readMail(bytes)).rejects.toThrow();
  });
});

function nested(depth: number): readonly string[] {
  return Array.from({ length: depth }, (_, i) => [
    `Content-Type: multipart/mixed; boundary="b${i}"`,
    "",
    `--b${i}`,
  ]).flat();
}
