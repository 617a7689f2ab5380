import { X509Certificate } from "node:crypto";
import { readFileSync } from "node:fs";
import path from "node:path";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readElmo } from "./read-elmo";
import { fingerprintOf } from "./verify-signature";

const sample = (name: string): Buffer => readFileSync(path.join(process.cwd(), "tests/fixtures/elmo", name));
const certificate = new X509Certificate(sample("elmo-a-cert.pem"));
const trusted = new Set([fingerprintOf(certificate)]);

function fileOf(bytes: Uint8Array, language = "en", senders: ReadonlySet<string> = new Set()) {
  const read = readElmo(bytes, language, senders);
  if (!read.ok) throw new Error(read.reason);
  return read.file;
}
const text = (name: string) => sample(name).toString("utf8");
const bytes = (xml: string) => new TextEncoder().encode(xml);
const reasonOf = (xml: string | Uint8Array) => {
  const read = readElmo(typeof xml === "string" ? bytes(xml) : xml, "en", new Set());
  return read.ok ? "read" : read.reason;
};

describe("student results in ELMO", () => {
  it("are the leaves of the tree, with their results as printed", () => {
    const { reports, learner } = fileOf(sample("elmo-a-unsigned.xml"));
    expect(learner).toEqual({
      given: "Ana Beatriz",
      family: "Souza Pinto",
      birthDate: "2005-03-09",
      citizenship: "BR",
    });
    expect(reports[0]?.issuer).toEqual({
      title: "Hillview Sample University",
      country: "QQ",
      schac: "hv-sample.example",
    });
    expect(reports[0]?.courses.map((c) => [c.code, c.grade, c.credits, c.status])).toEqual([
      ["MA101", "9", "7.5", "completed"],
      ["MA102", "7.5", "7.5", "completed"],
      ["CS101", "Pass", "7.5", "completed"],
      ["CS102", "", "7.5", "in progress"],
      ["MOD-FAIL", "4", "6.0", "failed"],
    ]);
  });
  it("have their titles in the wanted language, and dates of results, never of beginnings", () => {
    const [report] = fileOf(sample("elmo-a-unsigned.xml"), "de").reports;
    expect(report?.courses.find((c) => c.code === "MOD-FAIL")?.title).toBe("Statistik & Daten");
    expect(report?.courses.find((c) => c.code === "MA101")?.title).toBe("Calculus I");
    expect(report?.courses.map((c) => c.date)).toEqual(["2025-12-18", "2026-02-10", "2025-12-20", "", "2026-01-28"]);
  });
  it("name the whole degrees, whose credits are no course’s", () => {
    const [report] = fileOf(sample("elmo-a-unsigned.xml")).reports;
    expect(report?.degrees).toEqual([
      {
        title: "Bachelor in Data Studies",
        status: "in progress",
        grade: "",
        language: "en",
        level: "6",
        start: "2025-09-01",
        date: "",
      },
    ]);
    const alone = text("elmo-a-unsigned.xml").replace(/<hasPart>.*<\/hasPart>/su, "");
    const file = fileOf(bytes(alone));
    expect(file.reports.map((r) => [r.courses.length, r.degrees.length])).toEqual([[0, 1]]);
    expect(file.questions).toContainEqual({ code: "whole_degree", about: "Bachelor in Data Studies" });
    expect(fileOf(sample("elmo-b-minimal.xml")).reports.flatMap((r) => r.degrees)).toEqual([]);
  });
  it("carry documents, of a report or of the whole, in any language and with any parameters", () => {
    const [transcript] = fileOf(sample("elmo-a-unsigned.xml")).attachments;
    expect(transcript).toMatchObject({
      title: "Transcript of records",
      type: "Transcript of Records",
      mediaType: "application/pdf",
    });
    expect(
      Buffer.from(transcript?.base64 ?? "", "base64")
        .subarray(0, 5)
        .toString(),
    ).toBe("%PDF-");
    const more = (content: string) =>
      text("elmo-a-unsigned.xml").replace(
        "</elmo>",
        `<attachment><type>Diploma</type><content>${content}</content></attachment></elmo>`,
      );
    const added = fileOf(bytes(more("data:image/PNG;name=a;base64,iVBO\nRw0K")));
    expect(added.attachments.find((a) => a.type === "Diploma")).toEqual({
      title: "Diploma",
      type: "Diploma",
      mediaType: "image/png",
      base64: "iVBORw0K",
    });
    for (const content of ["", "https://x.example/a.pdf", "data:text/html,hello", "data:application/pdf;base64,!"]) {
      const { attachments, questions } = fileOf(bytes(more(content)));
      expect(attachments).toHaveLength(1);
      expect(questions).toContainEqual({ code: "attachment_unread", about: "Diploma" });
    }
  });
  it("that leave much out give questions, not an error and not a guess", () => {
    const { reports, questions, signature } = fileOf(sample("elmo-b-minimal.xml"));
    expect(signature).toBe("unsigned");
    expect(reports.map((r) => [r.issuer.title, r.courses.length])).toEqual([
      ["Lakeside Sample College", 3],
      ["Hillview Sample University", 1],
    ]);
    expect(reports[0]?.courses.map((c) => [c.title, c.grade, c.status, c.credits])).toEqual([
      ["Introduction to Law", "2,3", "", "5"],
      ["Microeconomics", "1,7", "completed", ""],
      ["Seminar", "", "completed", "3"],
    ]);
    expect(questions.map((q) => `${q.code} ${q.about}`)).toEqual([
      "no_status Introduction to Law",
      "no_credits EC-9",
      "no_date EC-9",
      "no_result EC-12",
    ]);
  });
  it("say in prose what a scale is: an officer assigns it", () =>
    expect(
      fileOf(sample("elmo-a-unsigned.xml")).questions.filter((q) => q.code === "scale_is_prose").length,
    ).toBeGreaterThan(0));
  it("that stand in two reports are one", () => {
    const [first = ""] = /<report>[\s\S]*<\/report>/u.exec(text("elmo-a-unsigned.xml")) ?? [];
    const { reports, questions } = fileOf(bytes(text("elmo-a-unsigned.xml").replace(first, first + first)));
    expect(reports.map((r) => r.courses.length)).toEqual([5, 0]);
    expect(questions.filter((q) => q.code === "twice").map((q) => q.about)).toContain("MA101");
  });
  it("name what this reader does not know", () =>
    expect(fileOf(bytes(text("elmo-b-minimal.xml").replace("</elmo>", "<novelty/></elmo>"))).questions).toContainEqual({
      code: "unknown_part",
      about: "novelty",
    }));
});

describe("their signature", () => {
  const signed = text("elmo-a-signed.xml");
  it("holds, and is trusted once its sender is on the list", () => {
    expect(fileOf(sample("elmo-a-signed.xml"))).toMatchObject({ signature: "sound" });
    expect(fileOf(sample("elmo-a-signed.xml"), "en", trusted)).toMatchObject({ signature: "trusted" });
    expect(fileOf(sample("elmo-a-signed.xml")).reports[0]?.courses).toHaveLength(5);
  });
  it("does not hold once a grade was raised", () =>
    expect(fileOf(sample("elmo-a-tampered.xml"), "en", trusted).signature).toBe("invalid"));
  it("may be made with a key on an elliptic curve, of those that are in use", () => {
    const ecdsa = text("elmo-a-ecdsa.xml");
    const state = (xml: string) => fileOf(bytes(xml)).signature;
    expect(state(ecdsa)).toBe("sound");
    expect(state(ecdsa.replace("<resultLabel>7.5<", "<resultLabel>9.5<"))).toBe("invalid");
    // Neither read as a signature of another kind, nor with a weaker curve.
    expect(state(ecdsa.replace("#ecdsa-sha256", "#ecdsa-sha512"))).toBe("invalid");
    expect(state(ecdsa.replace("#ecdsa-sha256", "#rsa-sha256"))).toBe("invalid");
    expect(state(text("elmo-a-signed.xml").replace("#rsa-sha256", "#ecdsa-sha256"))).toBe("invalid");
    expect(state(text("elmo-a-odd-curve.xml"))).toBe("invalid");
  });
  const [block = ""] = /<(?:\w+:)?Signature[\s\S]*<\/(?:\w+:)?Signature>/u.exec(signed) ?? [];
  it.each([
    ["two signatures", signed.replace(block, block + block)],
    ["one that is not a child of the root", signed.replace(block, "").replace("</report>", `${block}</report>`)],
    ["one over a part only", signed.replace('URI=""', 'URI="#part"')],
    [
      "a weak digest",
      signed.replace("http://www.w3.org/2001/04/xmlenc#sha256", "http://www.w3.org/2000/09/xmldsig#sha1"),
    ],
    [
      "a method with a shared secret",
      signed.replace(
        /SignatureMethod Algorithm="[^"]+"/u,
        'SignatureMethod Algorithm="http://www.w3.org/2000/09/xmldsig#hmac-sha1"',
      ),
    ],
    ["no certificate", signed.replace(/<(\w+:)?X509Certificate>[^<]*/u, "<$1X509Certificate>")],
    ["a certificate that is none", signed.replace(/(<(?:\w+:)?X509Certificate>)[^<]*/u, "$1AAAA")],
  ])("with %s is invalid", (_, xml) => {
    expect(xml).not.toBe(signed);
    expect(fileOf(bytes(xml), "en", trusted).signature).toBe("invalid");
  });
  it("never covers what was put around it: a copy of the signed part beside another report is invalid", () => {
    const wrapped = signed.replace(
      "<learner>",
      "<extension><learner><givenNames>Other</givenNames></learner></extension><learner>",
    );
    expect(fileOf(bytes(wrapped), "en", trusted).signature).toBe("invalid");
  });
});

describe("hostile and broken files", () => {
  const plain = text("elmo-b-minimal.xml");
  const head = '<?xml version="1.0" encoding="UTF-8"?>';
  const body = plain.replace(head, "");
  it.each([
    ["an external entity", `${head}<!DOCTYPE elmo [<!ENTITY x SYSTEM "file:///etc/passwd">]>${body}`, "hostile"],
    ["entities that multiply", `${head}<!DOCTYPE e [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>${body}`, "hostile"],
    ["a document type from elsewhere", `${head}<!DOCTYPE elmo SYSTEM "http://x.example/e.dtd">${body}`, "hostile"],
    ["a document type in small letters", `${head}<!doctype elmo SYSTEM "http://x.example/e.dtd">${body}`, "not_xml"],
    ["an entity that nobody declared", plain.replace("Suharti", "&secret;"), "not_xml"],
    ["too deep", `${head}${"<a>".repeat(200)}${"</a>".repeat(200)}`, "too_deep"],
    ["too many elements", `${head}<a>${"<b/>".repeat(60_000)}</a>`, "too_many"],
    ["another encoding", plain.replace("UTF-8", "UTF-16"), "not_xml"],
    ["cut off", plain.slice(0, 900), "not_xml"],
    ["tags that cross", "<elmo><a></elmo></a>", "not_xml"],
    ["no XML at all", "Course;Credits;Grade", "not_xml"],
    ["nothing", "", "not_xml"],
    ["another format", "<html><body/></html>", "not_elmo"],
    ["another version", plain.replace("tree/v1", "tree/v2"), "version"],
    ["no report", plain.replace(/<report>[\s\S]*<\/report>/u, ""), "not_elmo"],
  ])("%s: refused", (_, xml, reason) => expect(reasonOf(xml)).toBe(reason));
  it("may speak of document types and of deep things in a comment", () => {
    const said = plain.replace(/<report>/u, `<!-- <!DOCTYPE x> ${"<a>".repeat(200)} --><report>`);
    expect(reasonOf(said)).toBe("read");
  });
  it("bytes that are not UTF-8: refused", () => expect(reasonOf(new Uint8Array([0xff, 0xfe, 0x3c]))).toBe("not_xml"));
  it("larger than anybody's results: refused before it is read", () =>
    expect(reasonOf(new Uint8Array(21 * 1024 * 1024))).toBe("too_large"));
  it("whatever is changed in a good file, it is read or refused, never thrown", () => {
    fc.assert(
      fc.property(
        fc.nat(plain.length - 1),
        fc.string({ unit: "grapheme", maxLength: 6 }),
        fc.nat(20),
        (at, put, drop) => {
          reasonOf(plain.slice(0, at) + put + plain.slice(at + drop));
          return true;
        },
      ),
    );
  });
});
