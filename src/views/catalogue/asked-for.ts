import { z } from "zod";
import { type FeeDue, feeDue } from "../../core/fees/fee-due";
import { type FeeItem, type Money, minorFor } from "../../core/rulebook/fee-item";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { factName } from "../../core/rulebook/section";
import type { Condition } from "../../core/rules/condition";
import { type ReferenceSet, registersOf } from "../../core/standards/reference-set";
import type { LOCALES, LocalText } from "../../core/text/local-text";
import { conditionSentence } from "../../text/words/condition";
import { localTitles } from "../../text/words/trace";
import { titlesOf } from "../form/fact-titles";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";

/** What a group pays; null where all pay the same. */
type GroupAmount = Money & { readonly group: LocalText | null };

/** What a start asks for, as everybody may know before they begin; each with its condition in words, null where it is asked of all. */
export interface AskedFor {
  readonly needs: readonly { readonly title: LocalText; readonly onlyIf: LocalText | null }[];
  readonly fees: readonly {
    readonly title: LocalText;
    readonly perChoice: boolean;
    readonly amounts: readonly GroupAmount[];
    readonly due: FeeDue;
    readonly onlyIf: LocalText | null;
    /** What some pay instead, in the order in which it counts; no amount where they pay nothing. */
    readonly reductions: readonly {
      readonly title: LocalText;
      readonly amounts: readonly GroupAmount[];
      readonly onlyIf: LocalText | null;
    }[];
  }[];
}

interface Row {
  readonly body: RulebookBody;
  readonly tracks: readonly { readonly key: string; readonly title: LocalText }[];
}

/** The titles of what rules may read, sections and what stands beside the form included. */
function titlesFor({ body, tracks }: Row, set: ReferenceSet): Readonly<Record<string, LocalText>> {
  const picked = (fact: string, all: readonly { readonly key: string; readonly title: LocalText }[]) =>
    all.map(({ key, title }) => [`${fact}=${key}`, title] as const);
  return {
    ...titlesOf(body, registersOf(set)),
    ...Object.fromEntries([
      ...body.sections.map((s) => [factName(s), s.title] as const),
      ...picked("group", set.groups),
      ...picked("choice.campus", set.campuses),
      ...picked("choice.track", tracks),
    ]),
  };
}

function inWords(condition: Condition | undefined, titles: Readonly<Record<string, LocalText>>): LocalText | null {
  if (condition === undefined) return null;
  const say = (locale: (typeof LOCALES)[number]) =>
    conditionSentence(condition, localTitles(titles, locale), { locale, forApplicants: true });
  return { en: say("en"), fr: say("fr") };
}

/** A fee for all groups alike is one amount; nothing is said of those who pay nothing. */
function amountsOf(amounts: FeeItem["amounts"], currency: string, { groups }: ReferenceSet): readonly GroupAmount[] {
  const own = groups.map((g) => ({
    group: g.title,
    minor: minorFor(amounts, g.key),
    currency,
  }));
  const [first] = own;
  if (first && own.every((a) => a.minor === first.minor)) return first.minor > 0 ? [{ ...first, group: null }] : [];
  return own.filter((a) => a.minor > 0);
}

/** What a start of a programme asks for, by its newest published rulebook. */
export const askedFor = defineView({
  name: "asked-for",
  input: z.object({ code: z.string().max(20), start: z.iso.date() }),
  read: async ({ pool }, { code, start }): Promise<AskedFor | null> => {
    const { rows } = await pool.query<Row>(
      `select b.body, p.tracks from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id
       where p.code = $1 and i.starts_on = $2 and b.status = 'published' order by b.version desc limit 1`,
      [code, start],
    );
    const [row] = rows;
    if (!row) return null;
    const { set } = await officeNow(pool);
    const titles = titlesFor(row, set);
    const { requirements, fees } = row.body;
    return {
      needs: requirements
        .filter((r) => r.kind !== "sections" && r.kind !== "fee")
        .map((r) => ({ title: r.title, onlyIf: inWords(r.when, titles) })),
      fees: fees
        .map((f) => ({
          title: f.title,
          perChoice: f.per === "choice",
          amounts: amountsOf(f.amounts, f.currency, set),
          due: feeDue(f),
          onlyIf: inWords(f.when, titles),
          reductions: (f.reductions ?? []).map((r) => ({
            title: r.title,
            amounts: amountsOf(r.amounts, f.currency, set),
            onlyIf: inWords(r.when, titles),
          })),
        }))
        .filter((f) => f.amounts.length > 0),
    };
  },
});
