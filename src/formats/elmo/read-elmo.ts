import type { Element } from "@xmldom/xmldom";
import { childrenOf, readXml, textAt, titleIn, type XmlRefusal } from "./read-xml";
import { type SignatureState, verifySignature } from "./verify-signature";

const NAMESPACE = /^https:\/\/github\.com\/emrex-eu\/elmo-schemas\/tree\/v(\d+)/u;
const READ_MAJOR = "1";

/** What could not be mapped, line by line: a question to somebody, never a guess. */
export interface ElmoQuestion {
  readonly code:
    | "no_status"
    | "no_credits"
    | "no_result"
    | "no_date"
    | "scale_is_prose"
    | "whole_degree"
    | "twice"
    | "unknown_status"
    | "unknown_part"
    | "attachment_unread";
  /** The course, or the part of the file. */
  readonly about: string;
}

export interface ElmoCourse {
  readonly code: string;
  readonly title: string;
  /** As printed, with its own decimal sign. */
  readonly grade: string;
  /** The key under which its scale is described in the file; "" without one. */
  readonly scheme: string;
  readonly status: "completed" | "failed" | "in progress" | "";
  /** ECTS where the file has them, else local credits; "" where it has none. */
  readonly credits: string;
  readonly creditSystem: string;
  readonly date: string;
  readonly language: string;
  /** The academic term in words. */
  readonly term: string;
}

/** A whole programme of study: its credits are those of all of it, also while it still runs. */
export interface ElmoDegree {
  readonly title: string;
  readonly status: ElmoCourse["status"];
  readonly grade: string;
  readonly language: string;
  /** Of the European Qualifications Framework, `6`; "" where the file does not say. */
  readonly level: string;
  readonly start: string;
  /** The day of the result. */
  readonly date: string;
}

export interface ElmoReport {
  readonly issuer: { readonly title: string; readonly country: string; readonly schac: string };
  readonly degrees: readonly ElmoDegree[];
  readonly courses: readonly ElmoCourse[];
  readonly schemes: readonly { readonly key: string; readonly description: string }[];
}

/** A document that travels in the file: a transcript or a diploma, as its sender made it. */
export interface ElmoAttachment {
  readonly title: string;
  /** As the sender calls its kind: `Transcript of Records`, `Diploma`. */
  readonly type: string;
  /** The media type that it says it has. */
  readonly mediaType: string;
  readonly base64: string;
}

export interface ElmoFile {
  readonly learner: {
    readonly given: string;
    readonly family: string;
    readonly birthDate: string;
    readonly citizenship: string;
  };
  readonly reports: readonly ElmoReport[];
  readonly attachments: readonly ElmoAttachment[];
  readonly signature: SignatureState;
  readonly signer: string | null;
  readonly questions: readonly ElmoQuestion[];
}

export type ReadElmo =
  | { readonly ok: true; readonly file: ElmoFile }
  | { readonly ok: false; readonly reason: XmlRefusal | "not_elmo" | "version" };

const STATUSES: Readonly<Record<string, ElmoCourse["status"]>> = {
  passed: "completed",
  failed: "failed",
  "in-progress": "in progress",
};

const ROOT_PARTS = ["generatedDate", "learner", "report", "attachment", "groups", "extension", "Signature"];

type Asking = (code: ElmoQuestion["code"], about: string) => void;

/** ECTS where there are several kinds of credits. */
function creditsOf(instance: Element | undefined): { readonly value: string; readonly scheme: string } {
  const all = instance ? childrenOf(instance, "credit") : [];
  const ects = all.find((c) => textAt(c, "scheme").toLowerCase() === "ects");
  const chosen = ects ?? all[0];
  return { value: textAt(chosen, "value"), scheme: textAt(chosen, "scheme").toLowerCase() };
}

const instanceOf = (specification: Element): Element | undefined =>
  childrenOf(specification, "specifies").flatMap((s) => childrenOf(s, "learningOpportunityInstance"))[0];

const isDegree = (specification: Element): boolean => /^degree\b/iu.test(textAt(specification, "type"));

/** The day on which a degree was awarded stands as its date; what is still running has none. */
function degreeOf(specification: Element, language: string): ElmoDegree {
  const instance = instanceOf(specification);
  const level = instance && childrenOf(instance, "level").find((l) => /^eqf$/iu.test(textAt(l, "type")));
  return {
    title: titleIn(specification, "title", language),
    status: STATUSES[textAt(instance, "status").toLowerCase()] ?? "",
    grade: textAt(instance, "resultLabel"),
    language: textAt(instance, "languageOfInstruction"),
    level: textAt(level, "value"),
    start: textAt(instance, "start").slice(0, 10),
    date: textAt(instance, "date").slice(0, 10),
  };
}

function degreesIn(specification: Element): readonly Element[] {
  return isDegree(specification) ? [specification] : partsOf(specification).flatMap(degreesIn);
}

function courseOf(specification: Element, language: string, ask: Asking): ElmoCourse {
  const instance = instanceOf(specification);
  const credits = creditsOf(instance);
  const said = textAt(instance, "status").toLowerCase();
  const course: ElmoCourse = {
    code: textAt(specification, "identifier"),
    title: titleIn(specification, "title", language),
    grade: textAt(instance, "resultLabel"),
    scheme: textAt(instance, "gradingSchemeLocalId"),
    status: STATUSES[said] ?? "",
    credits: credits.value,
    creditSystem: credits.scheme,
    // The day on which a course began says nothing of its result.
    date: textAt(instance, "date").slice(0, 10),
    language: textAt(instance, "languageOfInstruction"),
    term: instance ? titleIn(childrenOf(instance, "academicTerm")[0] ?? instance, "title", language) : "",
  };
  const name = course.code || course.title;
  if (said === "") ask("no_status", name);
  else if (course.status === "") ask("unknown_status", `${name}: ${said}`);
  if (course.credits === "") ask("no_credits", name);
  if (course.grade === "" && course.status !== "in progress") ask("no_result", name);
  if (course.date === "" && course.status !== "in progress") ask("no_date", name);
  return course;
}

function partsOf(specification: Element): readonly Element[] {
  return childrenOf(specification, "hasPart").flatMap((p) => childrenOf(p, "learningOpportunitySpecification"));
}

/** The leaves of the tree: what has parts is a container, and its credits and result are not added to those of its parts. */
function leavesOf(specification: Element): readonly Element[] {
  const parts = partsOf(specification);
  return parts.length > 0 ? parts.flatMap(leavesOf) : [specification];
}

function reportOf(report: Element, language: string, seen: Set<string>, ask: Asking): ElmoReport {
  const [issuer] = childrenOf(report, "issuer");
  const issuerTitle = issuer ? titleIn(issuer, "title", language) : "";
  const schac = issuer ? childrenOf(issuer, "identifier").find((i) => i.getAttribute("type") === "schac") : undefined;
  const tops = childrenOf(report, "learningOpportunitySpecification");
  const courses = tops.flatMap(leavesOf).flatMap((leaf): ElmoCourse[] => {
    if (isDegree(leaf)) {
      ask("whole_degree", titleIn(leaf, "title", language));
      return [];
    }
    const place = [
      issuerTitle,
      textAt(leaf, "identifier"),
      textAt(leaf, "specifies", "learningOpportunityInstance", "date"),
    ];
    const key = place.join("|");
    const twice = place[1] !== "" && seen.has(key);
    seen.add(key);
    if (twice) {
      ask("twice", place[1] ?? "");
      return [];
    }
    return [courseOf(leaf, language, ask)];
  });
  const schemes = childrenOf(report, "gradingScheme").map((s) => ({
    key: s.getAttribute("localId") ?? "",
    description: titleIn(s, "description", language),
  }));
  for (const scheme of schemes) ask("scale_is_prose", `${scheme.key}: ${scheme.description}`);
  return {
    issuer: {
      title: issuerTitle,
      country: textAt(issuer, "country"),
      schac: schac?.textContent?.trim() ?? "",
    },
    degrees: tops.flatMap(degreesIn).map((degree) => degreeOf(degree, language)),
    courses,
    schemes,
  };
}

const DATA_URI = /^data:([a-z0-9.+/-]+)(?:;[a-z-]+=[^;,]*)*;base64,([A-Za-z0-9+/=\s]+)$/iu;

/** Attachments of the reports and, as newer files have them, of the whole; the first of its contents where there are several. */
function attachmentsIn(root: Element, language: string, ask: Asking): readonly ElmoAttachment[] {
  const all = [root, ...childrenOf(root, "report")].flatMap((parent) => childrenOf(parent, "attachment"));
  return all.flatMap((attachment, i) => {
    const type = textAt(attachment, "type");
    const title = titleIn(attachment, "title", language) || type || String(i + 1);
    const [, mediaType = "", base64 = ""] = DATA_URI.exec(textAt(attachment, "content")) ?? [];
    if (base64 === "") {
      ask("attachment_unread", title);
      return [];
    }
    return [{ title, type, mediaType: mediaType.toLowerCase(), base64: base64.replace(/\s+/gu, "") }];
  });
}

/**
 * Reads student results in the open ELMO format, any 1.x. The contents of a signed file are read from the bytes that were verified, and
 * from no other copy; those of a file whose signature does not hold are still shown, with that said.
 * @param language the one in which titles are wanted
 * @param trusted fingerprints of the certificates of senders whom the office trusts
 */
export function readElmo(bytes: Uint8Array, language: string, trusted: ReadonlySet<string>): ReadElmo {
  const outer = readXml(bytes);
  if (!outer.ok) return outer;
  const version = NAMESPACE.exec(outer.root.namespaceURI ?? "")?.[1];
  if (outer.root.localName !== "elmo" || version === undefined) return { ok: false, reason: "not_elmo" };
  if (version !== READ_MAJOR) return { ok: false, reason: "version" };
  const { state, signer, signed } = verifySignature(outer.root, outer.text, trusted);
  const inner = signed === null ? outer : readXml(new TextEncoder().encode(signed));
  if (!inner.ok) return inner;
  const { root } = inner;
  const questions: ElmoQuestion[] = [];
  const ask: Asking = (code, about) => questions.push({ code, about });
  const [learner] = childrenOf(root, "learner");
  const reports = childrenOf(root, "report");
  if (!learner || reports.length === 0) return { ok: false, reason: "not_elmo" };
  for (let node = root.firstChild; node; node = node.nextSibling)
    if (node.nodeType === node.ELEMENT_NODE && !ROOT_PARTS.includes((node as Element).localName ?? ""))
      ask("unknown_part", (node as Element).localName ?? "");
  const seen = new Set<string>();
  return {
    ok: true,
    file: {
      learner: {
        given: textAt(learner, "givenNames"),
        family: textAt(learner, "familyName"),
        birthDate: textAt(learner, "bday"),
        citizenship: textAt(learner, "citizenship"),
      },
      reports: reports.map((r) => reportOf(r, language, seen, ask)),
      attachments: attachmentsIn(root, language, ask),
      signature: state,
      signer,
      questions,
    },
  };
}
