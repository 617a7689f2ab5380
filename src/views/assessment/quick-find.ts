import { z } from "zod";
import { typedNumber } from "../../core/file/typed-number";
import { fold } from "../../core/people/fold";
import { holds, RULEBOOK_READERS } from "../../core/rights/actor";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** What is offered while somebody types into the find field of the office. */
export interface QuickFound {
  readonly files: readonly { readonly number: string; readonly name: string; readonly programmes: string }[];
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
    const sought = typedNumber(words) ?? fold(words);
    const [files, programmes] = await Promise.all([
      scope === null || sought === ""
        ? { rows: [] }
        : pool.query<QuickFound["files"][number]>(
            `select s.number, s.name, s.programmes from file_standing s
             where s.application_id in (select n.application_id from file_name n where n.folded like '%' || $2 || '%')
               and ${fileInScope("s.application_id", "$1")} order by s.order_at, s.number limit ${MOST_FILES}`,
            [scopeParameter(scope), sought],
          ),
      pool.query<QuickFound["programmes"][number]>(
        `select code, title->>'en' as title from programme
         where strpos(lower(code), $1) = 1 or strpos(lower(title->>'en'), $1) > 0 or strpos(lower(title->>'fr'), $1) > 0
         order by code limit ${MOST_PROGRAMMES}`,
        [words.toLowerCase()],
      ),
    ]);
    return { files: files.rows, programmes: programmes.rows };
  },
});
