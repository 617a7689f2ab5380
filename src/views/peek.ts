import { z } from "zod";
import type { Standing } from "../core/requirements/definition";
import type { LocalText } from "../core/text/local-text";
import { file } from "./file";
import { defineView } from "./view";

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

/** A short look at a file from the list: what is here and what is missing. */
export const peek = defineView({
  name: "peek",
  input: z.object({ number: z.string().max(20) }),
  read: async (ctx, { number }): Promise<PeekData | null> => {
    const data = await file.read(ctx, { number });
    if (!data) return null;
    const birth = data.values.find((v) => v.field === "birthDate")?.claim;
    const english = (text: LocalText) => text.en;
    return {
      number,
      name: data.name,
      group: data.groupTitle ? english(data.groupTitle) : null,
      birthDate: typeof birth === "string" ? birth : null,
      choices: data.choices.map((c, i) => {
        const result = data.assessment.choices.find((r) => r.id === c.id);
        return {
          rank: i + 1,
          code: c.code,
          title: english(c.title),
          eligibility: result?.eligibility ?? "open",
          stage: result?.stage ?? "preparing",
        };
      }),
      requirements: data.assessment.requirements.map((r) => ({
        title: english(r.title),
        standing: r.standing,
        note: r.gaps.length > 0 ? `${r.gaps.length} open` : null,
      })),
      promise: data.assessment.choices.find((c) => c.promise)?.promise ?? null,
    };
  },
});
