import type pg from "pg";
import { z } from "zod";
import type { NamedDegree } from "../../core/education/from-results";
import { compareBirthDates } from "../../core/people/birth-dates";
import { nameSimilarity } from "../../core/people/name-similarity";
import type { Locale } from "../../core/text/local-text";
import type { Inspection } from "../../formats/document/inspection";
import type { ElmoAttachment, ElmoCourse, ElmoFile, ElmoQuestion } from "../../formats/elmo/read-elmo";
import type { TaskResult } from "../../formats/workshop/tasks";
import type { Stopped } from "../../formats/workshop/workshop";
import { myApplication } from "../application/my-application";
import { defineView, type ViewContext } from "../view/view";

/** A document inside the file that is not what it says, or could not be stored for another reason. */
interface AttachmentRefused {
  readonly code: "attachment_refused";
  readonly about: string;
}

/** A document inside the file that could be supplied. */
export interface FileAttachment {
  readonly title: string;
  readonly mediaType: string;
  readonly base64: string;
  /** The number of the place that its kind fits; null where none does. */
  readonly fits: number | null;
}

export interface DocumentPlace {
  readonly requirement: string;
  readonly scope: string;
  readonly entry: string;
  readonly title: string;
}

/** A file of results as it would be taken over: its courses as lines of a table, and what somebody has to look at first. */
export type ResultsFile =
  | {
      readonly ok: true;
      readonly issuers: readonly string[];
      readonly signature: ElmoFile["signature"];
      readonly signer: string | null;
      /** Whom the file names, where that is not who is signed in. */
      readonly otherName: string | null;
      /** The date of birth that the file gives, where the person’s own applications give another. */
      readonly otherBirth: string | null;
      readonly degrees: readonly NamedDegree[];
      readonly heads: readonly string[];
      readonly rows: readonly (readonly string[])[];
      readonly questions: readonly (ElmoQuestion | AttachmentRefused)[];
      readonly attachments: readonly FileAttachment[];
      /** The documents that the application still takes, by the title that they are asked for by. */
      readonly places: readonly DocumentPlace[];
    }
  | { readonly ok: false; readonly reason: string };

const HEADS = ["code", "course", "credits", "status", "grade", "result in"] as const;
/** Below this two names are not of one person. */
const ALIKE = 0.75;

const line = ({ code, title, credits, status, grade, date }: ElmoCourse): readonly string[] => [
  code,
  title,
  credits,
  status,
  grade,
  date,
];

/** As it was stated in the newest of somebody's applications. */
async function birthDateOf(pool: pg.Pool, personId: string): Promise<string | null> {
  const { rows } = await pool.query<{ born: string }>(
    `select w.value #>> '{}' as born from answer w join application a on a.id = w.application_id
     where a.person_id = $1 and w.section = 'person' and w.field = 'birthDate' and not w.dormant order by a.created_at desc limit 1`,
    [personId],
  );
  return rows[0]?.born ?? null;
}

/** The documents that an application of one's own still takes. */
async function placesIn(ctx: ViewContext, number: string | null, locale: Locale) {
  const application = number === null ? null : await myApplication.read(ctx, { number });
  return (application?.documents ?? []).flatMap((d) => {
    const asked = application?.assessment.requirements.find(
      (r) => r.key === d.requirement && r.scope === d.scope && r.entry === d.entry,
    );
    if (!d.open || d.picture || !asked || asked.standing === "not needed") return [];
    const title = d.entryTitle ? `${asked.title[locale]} · ${d.entryTitle}` : asked.title[locale];
    return [{ requirement: d.requirement, scope: d.scope, entry: d.entry, title, english: asked.title.en }];
  });
}

/** A kind and the title of a requirement that mean one thing: `Transcript of Records`, “Transcript of records”. */
const SAME_KIND = 0.9;

/** What travels in the file counts as at every document by its bytes, never by what it says it is. */
function offered(
  attachment: ElmoAttachment,
  looked: Inspection | undefined,
  places: readonly { readonly english: string }[],
): FileAttachment | null {
  const kind = looked?.verdict === "store" ? (looked.original?.mediaType ?? looked.mediaType) : null;
  if (kind !== attachment.mediaType) return null;
  const { title, type, mediaType, base64 } = attachment;
  const fits = places.findIndex((p) => nameSimilarity(p.english, type).score >= SAME_KIND);
  return { title, mediaType, base64, fits: fits < 0 ? null : fits };
}

type ReadResults = (fingerprints: readonly string[]) => Promise<TaskResult<"read-results"> | Stopped>;

/** Reads a file of results for somebody who is signed in. Nothing is stored. */
export const resultsFile = defineView({
  name: "results-file",
  input: z.object({
    /** Reads the file in the workshop, with the certificates that the register knows. */
    reading: z.custom<ReadResults>((value) => typeof value === "function"),
    locale: z.enum(["en", "fr"]).default("en"),
    /** The application into which it is read; null where nobody asks for documents. */
    number: z.string().max(20).nullable().default(null),
  }),
  read: async (ctx, { reading, locale, number }): Promise<ResultsFile | null> => {
    const { actor, pool } = ctx;
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<{ fingerprint: string }>(
      "select jsonb_array_elements_text(fingerprints) as fingerprint from institution",
    );
    const done = await reading(rows.map((r) => r.fingerprint));
    if (typeof done === "string") return { ok: false, reason: done === "busy" ? "busy" : "too_large" };
    const { read, looked } = done;
    if (!read.ok) return { ok: false, reason: read.reason };
    const { learner, reports, signature, signer, questions } = read.file;
    const places = await placesIn(ctx, number, locale);
    const attachments: FileAttachment[] = [];
    const refused: AttachmentRefused[] = [];
    for (const [i, one] of read.file.attachments.entries()) {
      const attachment = offered(one, looked[i], places);
      if (attachment) attachments.push(attachment);
      else refused.push({ code: "attachment_refused", about: one.title });
    }
    const own = await birthDateOf(pool, actor.id);
    const named = [learner.given, learner.family].filter(Boolean).join(" ");
    return {
      ok: true,
      issuers: reports.map((r) => r.issuer.title).filter(Boolean),
      signature,
      signer,
      otherName: named !== "" && nameSimilarity(named, actor.name).score < ALIKE ? named : null,
      otherBirth: own !== null && compareBirthDates(own, learner.birthDate) === "different" ? learner.birthDate : null,
      degrees: reports.flatMap(({ issuer, degrees }) =>
        degrees.map((degree) => ({ ...degree, institution: issuer.title, country: issuer.country })),
      ),
      heads: HEADS,
      rows: reports.flatMap((r) => r.courses.map(line)),
      questions: [...questions, ...refused],
      attachments,
      places: places.map(({ english: _english, ...place }) => place),
    };
  },
});
