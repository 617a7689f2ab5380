import type pg from "pg";
import { z } from "zod";
import { compareBirthDates } from "../core/identity/birth-dates";
import { nameLikeness } from "../core/identity/likeness";
import type { Locale } from "../core/text/local-text";
import { type ElmoCourse, type ElmoFile, type ElmoQuestion, readElmo } from "../formats/elmo/read-elmo";
import { MOST_XML_BYTES } from "../formats/elmo/read-xml";
import { defineView } from "./view";

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
      readonly heads: readonly string[];
      readonly rows: readonly (readonly string[])[];
      readonly questions: readonly ElmoQuestion[];
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

/** Reads a file of results for somebody who is signed in. Nothing is stored. */
export const resultsFile = defineView({
  name: "results-file",
  input: z.object({
    bytes: z.instanceof(Uint8Array).refine((b) => b.byteLength <= MOST_XML_BYTES + 1),
    locale: z.enum(["en", "fr"]).default("en"),
  }),
  read: async ({ actor, pool }, { bytes, locale }): Promise<ResultsFile | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query<{ fingerprint: string }>(
      "select jsonb_array_elements_text(fingerprints) as fingerprint from institution",
    );
    const read = readElmo(bytes, locale satisfies Locale, new Set(rows.map((r) => r.fingerprint)));
    if (!read.ok) return { ok: false, reason: read.reason };
    const { learner, reports, signature, signer, questions } = read.file;
    const own = await birthDateOf(pool, actor.id);
    const named = [learner.given, learner.family].filter(Boolean).join(" ");
    return {
      ok: true,
      issuers: reports.map((r) => r.issuer.title).filter(Boolean),
      signature,
      signer,
      otherName: named !== "" && nameLikeness(named, actor.name).score < ALIKE ? named : null,
      otherBirth: own !== null && compareBirthDates(own, learner.birthDate) === "different" ? learner.birthDate : null,
      heads: HEADS,
      rows: reports.flatMap((r) => r.courses.map(line)),
      questions,
    };
  },
});
