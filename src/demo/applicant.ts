import { randomUUID } from "node:crypto";
import type { z } from "zod";
import { type Act, type Runtime, runAct } from "../acts/act/act";
import { uploadDocument } from "../acts/evidence/upload-document";
import { saveAnswers } from "../acts/form/save-answers";
import type { Json } from "../core/file/facts";
import type { Actor } from "../core/rights/actor";
import { inspectDocument } from "../formats/document/inspect";
import { uploadPlace } from "../views/evidence/upload-place";
import { readView } from "../views/view/view";
import type { Profile } from "./profile";

/** Runs an act that has to succeed: the demo's histories are made of acts alone. */
export async function act<Schema extends z.ZodType, Value>(
  runtime: Runtime,
  what: Act<Schema, Value>,
  actor: Actor,
  input: z.input<Schema>,
): Promise<Value> {
  const outcome = await runAct(runtime, what, actor, input);
  if (!outcome.ok)
    throw new Error(`the demo's ${what.name} was refused: ${outcome.reason} ${JSON.stringify(outcome.details ?? {})}`);
  return outcome.value;
}

type Fields = Readonly<Record<string, Json | undefined>>;
type Changes = z.input<(typeof saveAnswers)["input"]>["changes"];

function changes(section: string, fields: Fields, entry = ""): NonNullable<Changes> {
  return Object.entries(fields).flatMap(([field, value]) =>
    value === undefined ? [] : [{ scope: "file", section, entry, field, value, seen: 0 }],
  );
}

/** Ids of the entries that the form holds, so that documents can be tied to them. */
export interface Filled {
  readonly degree: string;
  readonly referee: string;
}

/** The sections of a profile in the order in which people fill them. */
export function formOf(p: Profile): { readonly sections: readonly NonNullable<Changes>[]; readonly ids: Filled } {
  const ids = { degree: randomUUID(), referee: randomUUID() };
  const { end, ...degree } = p.degree;
  const tests =
    p.english.way === "test"
      ? changes(
          "tests",
          {
            test: p.english.test,
            status: p.english.scores ? "result" : "pending",
            date: p.english.date,
            number: p.english.number,
            expected: p.english.expected,
            scores: p.english.scores,
          },
          randomUUID(),
        )
      : [];
  const sections = [
    changes("person", {
      oneName: p.given === "" ? true : undefined,
      givenNames: p.given || undefined,
      familyName: p.family,
      birthDate: p.birthDate,
      birthPlace: p.birthPlace,
    }),
    changes("contact", { phone: p.phone, street: "12 Quay Street", town: p.town, country: p.country }),
    changes("citizenship", {
      citizenships: [...p.citizenships],
      residence: p.residence,
      stay: p.citizenships.includes(p.residence) ? undefined : "permanent",
      paper: "passport",
      passportNumber: p.passportNumber,
      passportExpiry: p.passportExpiry,
    }),
    [
      ...changes(
        "education",
        { ...degree, [p.degree.status === "completed" ? "end" : "expectedEnd"]: end },
        ids.degree,
      ),
      ...changes("education", { complete: true }),
    ],
    [
      ...p.courses.flatMap((course) => changes("courses", { ...course }, randomUUID())),
      ...changes("courses", { complete: true }),
    ],
    [
      ...changes("english", { way: p.english.way, selfLevel: p.english.says ?? "C1" }),
      ...tests,
      ...(tests.length > 0 ? changes("tests", { complete: true }) : []),
    ],
    [
      ...changes(
        "referees",
        { name: p.referee.name, email: p.referee.email, institution: p.referee.institution, role: "academic" },
        ids.referee,
      ),
      ...changes("referees", { complete: true }),
    ],
    changes("declaration", { true: true, data: true, signature: [p.given, p.family].filter(Boolean).join(" ") }),
  ];
  return { sections, ids };
}

/** Saves fields of the form, each of which has to be taken. */
export async function saveForm(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  changes: NonNullable<Changes>,
): Promise<void> {
  const { results } = await act(runtime, saveAnswers, actor, { applicationId, changes });
  const refused = changes.find((_, i) => results[i]?.state === "refused");
  if (refused) throw new Error(`the demo's ${refused.section}.${refused.field} was not taken`);
}

/** Fills the form section by section, as the page does when fields are left. */
export async function fillForm(runtime: Runtime, actor: Actor, applicationId: string, p: Profile): Promise<Filled> {
  const { sections, ids } = formOf(p);
  for (const section of sections) await saveForm(runtime, actor, applicationId, section);
  return ids;
}

/** Looks at a document as the upload page does, and supplies it. */
export async function supply(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  requirement: string,
  entry: string,
  name: string,
  bytes: Buffer,
  scope = "file",
): Promise<string> {
  const asked = await readView(runtime, uploadPlace, actor, { applicationId, requirement });
  const inspection = await inspectDocument(bytes, name, undefined, asked?.picture);
  if (inspection.verdict !== "store") throw new Error(`the demo's ${name} was refused: ${inspection.reason}`);
  const { verdict: _verdict, ...kept } = inspection;
  const { uploadId } = await act(runtime, uploadDocument, actor, {
    applicationId,
    requirement,
    scope,
    entry,
    name,
    ...kept,
  });
  return uploadId;
}
