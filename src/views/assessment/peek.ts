import { z } from "zod";
import { assess } from "../../core/assessment/assess";
import { gapsOf } from "../../core/file/result";
import { shownName } from "../../core/people/shown-name";
import type { Standing } from "../../core/rulebook/requirement";
import type { LocalText } from "../../core/text/local-text";
import { loadFile } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

export interface PeekData {
  readonly number: string;
  readonly name: string;
  readonly group: string | null;
  readonly birthDate: string | null;
  readonly choices: readonly {
    readonly rank: number;
    readonly code: string;
    readonly title: string;
    readonly eligibility: string;
    readonly stage: string;
  }[];
  readonly requirements: readonly {
    readonly title: string;
    readonly standing: Standing;
    readonly note: string | null;
  }[];
  readonly promise: { readonly days: number; readonly used: number } | null;
}

interface ChoiceLine {
  readonly id: string;
  readonly code: string;
  readonly title: LocalText;
}

/** A short look at a file from the list: what is here and what is missing, and nothing else is asked for. */
export const peek = defineView({
  name: "peek",
  input: z.object({ number: z.string().max(20) }),
  read: async (ctx, { number }): Promise<PeekData | null> => {
    const scope = programmesOf(ctx.actor);
    if (scope === null) return null;
    const { rows } = await ctx.pool.query<{ id: string; choices: readonly ChoiceLine[] }>(
      `select a.id, coalesce((select json_agg(json_build_object('id', c.id, 'code', p.code, 'title', p.title) order by c.rank)
         from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.application_id = a.id), '[]') as choices
       from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    const [found] = rows;
    if (!found) return null;
    const [office, loaded] = await Promise.all([officeNow(ctx.pool), loadFile(ctx.pool, found.id)]);
    if (!loaded) return null;
    const { file, choices, requirements } = assess({ ...loaded, office, at: ctx.now.getTime() });
    const birth = loaded.facts.answers.find((a) => a.section === "person" && a.field === "birthDate")?.value;
    return {
      number,
      name: shownName(loaded.facts),
      group: office.set.groups.find((g) => g.key === file.group)?.title.en ?? null,
      birthDate: typeof birth === "string" ? birth : null,
      choices: found.choices.map(({ id, code, title }, i) => {
        const result = choices.find((r) => r.id === id);
        return {
          rank: i + 1,
          code,
          title: title.en,
          eligibility: result?.eligibility ?? "open",
          stage: result?.stage ?? "preparing",
        };
      }),
      requirements: requirements.map((r) => {
        const open = gapsOf(r).length;
        return { title: r.title.en, standing: r.standing, note: open > 0 ? `${open} open` : null };
      }),
      promise: choices.find((c) => c.promise)?.promise ?? null,
    };
  },
  readings: ({ number }) => [{ kind: "file opened", file: number }],
});
