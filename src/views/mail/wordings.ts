import { z } from "zod";
import type { MailWords } from "../../core/mail/inputs";
import { TEMPLATES, type Template } from "../../core/mail/templates";
import { holds, OFFICE } from "../../core/rights/actor";
import type { Locale } from "../../core/text/local-text";
import { sampleValues } from "../../text/words/mail-words";
import { fileInScope, programmesOf, scopeParameter } from "../view/scope";
import { defineView } from "../view/view";

/** A mail that goes out, and whether the office has words of its own for it. */
export interface MailLine {
  readonly template: Template;
  readonly own: boolean;
  /** Who changed it last, and when; null where it is as it came. */
  readonly changed: { readonly by: string; readonly at: string } | null;
  /** How many went within thirty days. */
  readonly sent: number;
}

const DAYS_MS = 30 * 86_400_000;

/** All mails that Unvex sends. */
export const mailWordings = defineView({
  name: "mail-wordings",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<readonly MailLine[] | null> => {
    if (!holds(actor, OFFICE)) return null;
    const { rows } = await pool.query<{ template: Template; own: boolean; by: string; at: Date }>(
      `select distinct on (w.template) w.template, w.words is not null as own, p.name as by, w.at from mail_wording w join person p on p.id = w.by_id
       order by w.template, w.version desc`,
    );
    const { rows: counts } = await pool.query<{ template: string; sent: number }>(
      "select template, count(*)::int as sent from message where sent_at > $1 group by template",
      [new Date(now.getTime() - DAYS_MS)],
    );
    return TEMPLATES.map((template) => {
      const last = rows.find((r) => r.template === template);
      return {
        template,
        own: last?.own ?? false,
        changed: last ? { by: last.by, at: last.at.toISOString() } : null,
        sent: counts.find((c) => c.template === template)?.sent ?? 0,
      };
    });
  },
});

export interface WordingVersion {
  readonly version: number;
  readonly words: Readonly<Record<Locale, MailWords>> | null;
  readonly by: string;
  readonly at: string;
}

/** One mail with the words that it had, and values to read it with: those of a file where it was sent, else made-up ones. */
export interface MailWordingData {
  readonly template: Template;
  /** The newest first. */
  readonly versions: readonly WordingVersion[];
  readonly sample: {
    readonly number: string | null;
    readonly values: Readonly<Record<string, string>>;
  };
  /** Whether the file that was asked for was sent none. */
  readonly unknown: boolean;
}

export const mailWording = defineView({
  name: "mail-wording",
  input: z.object({
    template: z.string().max(60),
    /** The file whose values are read; "" for the one where it went last. */
    number: z.string().max(20),
  }),
  read: async ({ pool, actor }, { template: name, number }): Promise<MailWordingData | null> => {
    const scope = programmesOf(actor);
    const template = TEMPLATES.find((t) => t === name);
    if (scope === null || !holds(actor, OFFICE) || !template) return null;
    const [versions, sent] = await Promise.all([
      pool.query<Omit<WordingVersion, "at"> & { at: Date }>(
        "select w.version, w.words, p.name as by, w.at from mail_wording w join person p on p.id = w.by_id where w.template = $1 order by w.version desc",
        [template],
      ),
      pool.query<{ number: string; values: Record<string, string> }>(
        `select a.number, m.values - 'link' || '{"link": "/my"}' as values from message m join application a on a.id = m.application_id
         where m.template = $1 and m.state <> 'withdrawn' and ($2 = '' or a.number = $2) and ${fileInScope("a.id", "$3")} order by m.queued_at desc limit 1`,
        [template, number, scopeParameter(scope)],
      ),
    ]);
    const [found] = sent.rows;
    return {
      template,
      versions: versions.rows.map((r) => ({ ...r, at: r.at.toISOString() })),
      sample: found ?? { number: null, values: sampleValues(template) },
      unknown: number !== "" && !found,
    };
  },
});
