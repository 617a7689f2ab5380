import { z } from "zod";
import type { RulebookBody } from "../core/rulebook/rulebook";
import type { LocalText } from "../core/text/local-text";
import { officeNow } from "./office-now";
import { defineView } from "./view";

export interface FinderGroup {
  readonly key: string;
  readonly title: LocalText;
  readonly closesAt: string;
  readonly fees: readonly { readonly title: LocalText; readonly minor: number; readonly currency: string }[];
}

export interface FinderHit {
  readonly roundId: string;
  readonly code: string;
  readonly title: LocalText;
  readonly award: string;
  readonly level: string;
  readonly language: string;
  readonly ects: number;
  readonly campuses: readonly string[];
  readonly description: LocalText;
  readonly startsOn: string;
  readonly opensAt: string;
  readonly state: "open" | "soon" | "closed";
  readonly groups: readonly FinderGroup[];
  readonly needs: readonly LocalText[];
}

export interface FinderData {
  readonly zone: string;
  readonly office: LocalText;
  readonly hits: readonly FinderHit[];
}

interface Row {
  round_id: string;
  code: string;
  title: LocalText;
  award: string;
  level: string;
  language: string;
  ects: number;
  campuses: string[];
  description: LocalText;
  starts_on: string;
  opens_at: Date;
  closed_at: Date | null;
  closings: { group: string; at: string }[];
  body: RulebookBody;
}

function stateOf(row: Row, now: Date): FinderHit["state"] {
  const last = Math.max(...row.closings.map((c) => Date.parse(c.at)));
  if (row.closed_at || now.getTime() >= last) return "closed";
  return now < row.opens_at ? "soon" : "open";
}

/** The programmes that take applications, for everybody. */
export const finder = defineView({
  name: "finder",
  input: z.object({ code: z.string().max(20).nullable().default(null) }),
  read: async ({ pool, now }, { code }): Promise<FinderData> => {
    const office = await officeNow(pool);
    const { rows } = await pool.query<Row>(
      `select r.id as round_id, p.code, p.title, p.award, p.level, p.language, p.ects, p.campuses, p.description, i.starts_on::text, r.opens_at, r.closed_at, r.closings, b.body
       from round r join intake i on i.id = r.intake_id join programme p on p.id = i.programme_id
       join rulebook b on b.intake_id = i.id and b.status = 'published'
       where $1::text is null or p.code = $1 order by p.code, r.opens_at`,
      [code],
    );
    const titleOf = new Map(office.set.groups.map((g) => [g.key, g.title]));
    return {
      zone: office.set.zone,
      office: office.set.name,
      hits: rows.map((row) => ({
        roundId: row.round_id,
        code: row.code,
        title: row.title,
        award: row.award,
        level: row.level,
        language: row.language,
        ects: row.ects,
        campuses: row.campuses,
        description: row.description,
        startsOn: row.starts_on,
        opensAt: row.opens_at.toISOString(),
        state: stateOf(row, now),
        groups: row.closings.map((c) => ({
          key: c.group,
          title: titleOf.get(c.group) ?? { en: c.group, fr: c.group },
          closesAt: c.at,
          fees: row.body.fees.flatMap((f) => {
            const minor = f.amounts.find((a) => a.group === c.group)?.minor ?? 0;
            return minor > 0 ? [{ title: f.title, minor, currency: f.currency }] : [];
          }),
        })),
        needs: row.body.requirements.filter((r) => r.kind !== "sections").map((r) => r.title),
      })),
    };
  },
});
