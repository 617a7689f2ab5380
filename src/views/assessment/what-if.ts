import { z } from "zod";
import { AnswerIndex } from "../../core/answers/answer-index";
import { answerValue } from "../../core/answers/answer-value";
import { assessAndExplain } from "../../core/assessment/explain";
import type { Json } from "../../core/file/facts";
import { sectionKey } from "../../core/file/place";
import type { ExplainedChoice } from "../../core/file/result";
import { planOf } from "../../core/rulebook/plan";
import type { Field } from "../../core/rulebook/section";
import type { LocalText } from "../../core/text/local-text";
import { type Supposed, supposing } from "../../core/what-if/supposing";
import { loadFile } from "../../db/queries/load-file";
import { officeNow } from "../view/office-now";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** A section of which entry rules use something, with what stands there. */
export interface SupposableSection {
  readonly scope: string;
  readonly key: string;
  readonly title: LocalText;
  readonly repeats: boolean;
  readonly fields: readonly Field[];
  readonly entries: readonly { readonly id: string; readonly values: Readonly<Record<string, Json>> }[];
}

export interface WhatIf {
  readonly sections: readonly SupposableSection[];
  readonly choices: readonly {
    readonly id: string;
    readonly code: string;
    readonly before: Pick<ExplainedChoice, "findings" | "eligibility">;
    readonly after: Pick<ExplainedChoice, "findings" | "eligibility">;
  }[];
}

const MOST_CHANGES = 200;

/** What the entry rules of a file would find if some answers were others. Nothing of it is stored. */
export const whatIf = defineView({
  name: "what-if",
  input: z.object({
    number: z.string().max(20),
    changes: z
      .array(
        z.object({
          scope: z.string().max(40),
          section: z.string().max(60),
          entry: z.string().max(40),
          field: z.string().max(60),
          value: answerValue,
        }),
      )
      .max(MOST_CHANGES)
      .default([]),
  }),
  read: async ({ actor, pool, now }, { number, changes }): Promise<WhatIf | null> => {
    const scope = programmesOf(actor);
    if (scope === null) return null;
    const { rows } = await pool.query<{ id: string }>(
      `select a.id from application a where a.number = $2 and ${fileInScope("a.id", "$1")}`,
      [scopeParameter(scope), number],
    );
    const loaded = rows[0] ? await loadFile(pool, rows[0].id) : null;
    if (!loaded) return null;
    const office = await officeNow(pool);
    const found = (supposed: readonly Supposed[]) =>
      assessAndExplain({ ...loaded, facts: supposing(loaded.facts, supposed), office, at: now.getTime() }).choices;
    const [before, after] = [found([]), found(changes)];
    return {
      sections: supposable(loaded),
      choices: before.map((choice, i) => ({
        id: choice.id,
        code: choice.programme,
        before: { findings: choice.findings, eligibility: choice.eligibility },
        after: { findings: after[i]?.findings ?? [], eligibility: after[i]?.eligibility ?? choice.eligibility },
      })),
    };
  },
});

type Loaded = NonNullable<Awaited<ReturnType<typeof loadFile>>>;

/** The fields that entry rules use, with what was confirmed there or is claimed. */
function supposable({ facts, rulebooks }: Loaded): readonly SupposableSection[] {
  const index = new AnswerIndex(facts);
  const sections = new Map<string, SupposableSection>();
  for (const choice of facts.choices.filter((c) => c.withdrawnAt === null)) {
    const body = rulebooks[choice.rulebookId]?.body;
    if (!body) continue;
    const { used } = planOf(body);
    for (const section of body.sections) {
      const scope = section.scope === "file" ? "file" : choice.id;
      const place = sectionKey({ scope, section: section.key });
      const known = sections.get(place);
      // What tells the entries of a list apart stands beside what rules use; scores need to know whose they are.
      const fields = section.fields.filter(
        (f) =>
          used.has(`${section.key}.${f.key}`) ||
          known?.fields.some((k) => k.key === f.key) ||
          (section.repeats !== undefined && (f.key === "title" || f.key === "status")),
      );
      if (!fields.some((f) => used.has(`${section.key}.${f.key}`))) continue;
      const valueAt = (entry: string, field: string) =>
        index.confirmed(scope, section.key, entry, field)?.value ?? index.claim(scope, section.key, entry, field);
      sections.set(place, {
        scope,
        key: section.key,
        title: section.title,
        repeats: section.repeats !== undefined,
        fields,
        entries: (section.repeats ? index.entries(scope, section.key) : [""]).map((id) => ({
          id,
          values: Object.fromEntries(fields.map((f) => [f.key, valueAt(id, f.key)])),
        })),
      });
    }
  }
  return [...sections.values()];
}
