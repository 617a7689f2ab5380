import { z } from "zod";
import { typedNumber } from "../../core/file/typed-number";
import { fold } from "../../core/people/fold";
import { holds, RULEBOOK_READERS } from "../../core/rights/actor";
import { type FoundBy, foundBy, soughtWords } from "../../core/settlement/search-text";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";
import { calledSo } from "./filter";

/** What is offered while somebody types into the find field of the office. */
export interface QuickFound {
  readonly files: readonly {
    readonly number: string;
    readonly name: string;
    readonly programmes: string;
    /** By what, where that was what was typed. */
    readonly foundBy: { readonly by: FoundBy; readonly line: string } | null;
    /** Nothing is called exactly so. */
    readonly near: boolean;
  }[];
  readonly programmes: readonly { readonly code: string; readonly title: string }[];
}

/** One letter would offer nearly everything. */
const LEAST = 2;
const MOST_FILES = 7;
const MOST_PROGRAMMES = 5;

/** Files by number, name or address, the most urgent first, and programmes by code or title; a few of each. */
export const quickFind = defineView({
  name: "quick-find",
  input: z.object({ words: z.string().trim().max(100).default("") }),
  read: async ({ pool, actor }, { words }): Promise<QuickFound | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    if (words.length < LEAST) return { files: [], programmes: [] };
    const scope = programmesOf(actor);
    const number = typedNumber(words);
    const sought = number === null ? fold(words) : `#${number}`;
    const files = async (near: boolean) => {
      if (scope === null || sought === "") return [];
      const values: unknown[] = [scopeParameter(scope)];
      const called = calledSo(sought, near, (value) => `$${values.push(value)}`);
      const { rows } = await pool.query<{ number: string; name: string; programmes: string; text: string }>(
        `select s.number, s.name, s.programmes, (select n.text from file_search n where n.application_id = s.application_id) as text
         from file_standing s where ${called} and ${fileInScope("s.application_id", "$1")} order by s.order_at, s.number limit ${MOST_FILES}`,
        values,
      );
      return rows.map(({ text, ...file }) => ({ ...file, foundBy: foundBy(text, soughtWords(sought), near), near }));
    };
    const exactly = async () => {
      const found = await files(false);
      return found.length > 0 ? found : files(true);
    };
    const [found, programmes] = await Promise.all([
      exactly(),
      pool.query<QuickFound["programmes"][number]>(
        `select code, title->>'en' as title from programme
         where strpos(lower(code), $1) = 1 or strpos(lower(title->>'en'), $1) > 0 or strpos(lower(title->>'fr'), $1) > 0
         order by code limit ${MOST_PROGRAMMES}`,
        [words.toLowerCase()],
      ),
    ]);
    return { files: found, programmes: programmes.rows };
  },
});
