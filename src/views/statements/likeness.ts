import type pg from "pg";
import { z } from "zod";
import type { LoadedFile } from "../../core/file/loaded-file";
import type { Field, Section } from "../../core/rulebook/section";
import { comparedWords } from "../../core/statements/compared-words";
import { formWords, isCompared } from "../../core/statements/form-words";
import { type Likeness, likenessOf } from "../../core/statements/likeness";
import { marksOf } from "../../core/statements/marks";
import { otherPiecesOf, type Piece, piecesOf } from "../../core/statements/pieces";
import type { LocalText } from "../../core/text/local-text";
import { loadFile } from "../../db/queries/load-file";
import { statementsSharing } from "../../db/queries/statements";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** What an officer said of two statements that are alike. */
export interface LikenessSaid {
  readonly verdict: "harmless" | "copied";
  readonly note: string;
  readonly by: string;
  readonly at: string;
}

/** A statement of a file that shares passages with one of somebody else's. */
export interface AlikeStatements {
  readonly statementId: string;
  readonly otherId: string;
  /** What the field is called in which it was written. */
  readonly title: string;
  /** Shared words, and of how many. */
  readonly words: number;
  readonly of: number;
  /** When this one was submitted, and the other. */
  readonly submittedAt: string;
  readonly otherAt: string;
  readonly programmes: readonly string[];
  /** Null where the other file belongs to programmes that this officer does not see. */
  readonly other: { readonly number: string; readonly name: string } | null;
  readonly said: LikenessSaid | null;
}

const ALIKE = `select mine.id as "statementId", t.id as "otherId", mine.scope, mine.section, mine.field, l.words, mine.words as of, mine.submitted_at as "submittedAt", t.submitted_at as "otherAt",
  (select array_agg(distinct g.code) from choice c join intake i on i.id = c.intake_id join programme g on g.id = i.programme_id where c.application_id = t.application_id) as programmes,
  case when ${fileInScope("t.application_id", "$2")} then json_build_object('number', s.number, 'name', s.name) end as other,
  case when l.verdict is not null then json_build_object('verdict', l.verdict, 'note', l.note, 'by', w.name, 'at', l.at) end as said
from statement_text mine join likeness l on mine.id in (l.first_id, l.second_id)
  join statement_text t on t.id = case when l.first_id = mine.id then l.second_id else l.first_id end
  join file_standing s on s.application_id = t.application_id left join person w on w.id = l.by_id
where mine.application_id = $1
order by l.verdict is not null, l.words desc, s.number`;

type Row = Omit<AlikeStatements, "submittedAt" | "otherAt" | "title"> & {
  scope: string;
  section: string;
  field: string;
  submittedAt: Date;
  otherAt: Date;
};

/** The statements of a file that are like somebody else's: those nobody has judged first, then by how much they share. */
export async function likenessesOf(
  pool: pg.Pool,
  loaded: LoadedFile,
  scope: "all" | readonly string[],
): Promise<readonly AlikeStatements[]> {
  const { rows } = await pool.query<Row>(ALIKE, [loaded.facts.application.id, scopeParameter(scope)]);
  return rows.map(({ scope: of, section, field, submittedAt, otherAt, ...row }) => ({
    ...row,
    title: fieldAt(loaded, { scope: of, section, field })?.field.title.en ?? field,
    submittedAt: submittedAt.toISOString(),
    otherAt: otherAt.toISOString(),
  }));
}

interface Written {
  readonly section: Section;
  readonly field: Field;
}

/** The field in which a statement is written, of any choice that asks for it. */
function fieldAt(
  { facts, rulebooks }: LoadedFile,
  place: { scope: string; section: string; field: string },
): Written | null {
  const found = facts.choices
    .filter((c) => place.scope === "file" || place.scope === c.id)
    .flatMap((c) => rulebooks[c.rulebookId]?.body.sections ?? [])
    .filter((s) => s.key === place.section && (s.scope === "file") === (place.scope === "file"))
    .flatMap((section) => section.fields.filter((f) => f.key === place.field).map((field) => ({ section, field })));
  return found[0] ?? null;
}

/** Two statements side by side, each in pieces: the same number stands for the same passage. */
export interface StatementComparison {
  readonly alike: AlikeStatements;
  readonly question: LocalText;
  readonly own: readonly Piece[];
  /** Null where the other file is not this officer’s to see. */
  readonly other: readonly Piece[] | null;
  readonly passages: readonly { readonly words: number }[];
}

interface Texts {
  readonly scope: string;
  readonly section: string;
  readonly field: string;
  readonly text: string;
  readonly other: string;
}

const TEXT_OF = (table: string) =>
  `(select v.value #>> '{}' from answer_version v where (v.application_id, v.scope, v.section, v.entry, v.field, v.version)
    = (${table}.application_id, ${table}.scope, ${table}.section, ${table}.entry, ${table}.field, ${table}.version))`;

/** What a statement of a file has in common with one of somebody else's; for the office over the file. */
export const statementComparison = defineView({
  name: "statement-comparison",
  input: z.object({ number: z.string().max(20), otherId: z.uuid() }),
  read: async (ctx, { number, otherId }): Promise<StatementComparison | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null) return null;
    const { rows: found } = await ctx.pool.query<{ id: string }>(
      `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    const loaded = found[0] ? await loadFile(ctx.pool, found[0].id) : null;
    if (!loaded) return null;
    const alike = (await likenessesOf(ctx.pool, loaded, scope)).find((l) => l.otherId === otherId);
    if (!alike) return null;
    const { rows } = await ctx.pool.query<Texts>(
      `select t.scope, t.section, t.field, ${TEXT_OF("t")} as text, ${TEXT_OF("o")} as other from statement_text t, statement_text o where t.id = $1 and o.id = $2`,
      [alike.statementId, otherId],
    );
    const [texts] = rows;
    const written = texts ? fieldAt(loaded, texts) : null;
    if (!texts || !written) return null;
    const [own, other] = [texts.text, texts.other].map(comparedWords);
    if (!own || !other) return null;
    const passages: Likeness["passages"] =
      likenessOf(own, other, formWords(written.section, written.field))?.passages ?? [];
    return {
      alike,
      question: written.field.title,
      own: piecesOf(texts.text, own, passages),
      other: alike.other ? otherPiecesOf(texts.other, other, passages) : null,
      passages: passages.map(({ words }) => ({ words })),
    };
  },
});

/** What the writer of a statement is told: how much of it stands in submitted ones, and where in their own text. */
export interface WriterLikeness {
  readonly words: number;
  readonly passages: readonly string[];
}

const LONGEST_STATEMENT = 24_000;
const MOST_TOLD = 3;

/**
 * Holds a statement that is being written against those that other people submitted. Its writer is shown passages of the own text alone:
 * never whose text it is, nor anything that stands around it there.
 */
export const writerLikeness = defineView({
  name: "writer-likeness",
  input: z.object({
    applicationId: z.uuid(),
    scope: z.string().max(40),
    section: z.string().max(60),
    field: z.string().max(60),
    text: z.string().max(LONGEST_STATEMENT),
  }),
  read: async ({ pool, actor }, { applicationId, text, ...place }): Promise<WriterLikeness | null> => {
    if (actor.kind !== "person") return null;
    const { rows } = await pool.query("select 1 from application where id = $1 and person_id = $2", [
      applicationId,
      actor.id,
    ]);
    const loaded = rows[0] ? await loadFile(pool, applicationId) : null;
    const written = loaded ? fieldAt(loaded, place) : null;
    if (!written || !isCompared(written.field)) return null;
    const words = comparedWords(text);
    const form = formWords(written.section, written.field);
    const [most] = (await statementsSharing(pool, marksOf(words), actor.id))
      .flatMap((other) => likenessOf(words, comparedWords(other.text), form) ?? [])
      .sort((a, b) => b.words - a.words);
    if (!most) return { words: 0, passages: [] };
    const passages = piecesOf(text, words, most.passages).flatMap((p) => (p.passage === null ? [] : [p.text]));
    return { words: most.words, passages: passages.slice(0, MOST_TOLD) };
  },
});
