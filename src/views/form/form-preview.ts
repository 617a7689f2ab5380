import { z } from "zod";
import { assess } from "../../core/assessment/assess";
import { type IntakeInput, type OfferedByProgramme, offeredOptions, type Track } from "../../core/catalogue/programme";
import { MODES, type Mode } from "../../core/file/mode";
import { type FeeDue, gapsOf, type RequirementResult } from "../../core/file/result";
import { type FormSection, formSections } from "../../core/form/form-sections";
import { holds, RULEBOOK_READERS } from "../../core/rights/actor";
import type { ProofLevel } from "../../core/rulebook/requirement";
import type { RulebookBody } from "../../core/rulebook/rulebook";
import { type Registers, registersOf } from "../../core/standards/reference-set";
import type { LocalText } from "../../core/text/local-text";
import { offeredBy } from "../../db/queries/offered";
import { officeNow } from "../view/office-now";
import { defineView } from "../view/view";
import { trialAnswersSchema, trialOf } from "./trial";

/** A rulebook's form as an applicant of a group would see it, with what is asked of them and what they owe. Nothing of it is stored. */
export interface FormPreview {
  readonly sections: readonly FormSection[];
  readonly requirements: readonly (Pick<
    RequirementResult,
    "key" | "entry" | "kind" | "title" | "neededBy" | "standing"
  > & {
    /** Null for what is no document. */
    readonly proof: ProofLevel | null;
  })[];
  readonly fees: readonly FeeDue[];
  /** The group that was found from the answers, or assumed. */
  readonly group: string | null;
  readonly groups: readonly { readonly key: string; readonly title: LocalText }[];
  readonly campuses: readonly { readonly key: string; readonly title: LocalText }[];
  readonly languages: readonly string[];
  readonly modes: readonly Mode[];
  readonly tracks: readonly Track[];
  readonly office: Registers;
}

interface Row {
  id: string;
  version: number;
  body: RulebookBody;
  starts_on: string;
  programme: OfferedByProgramme;
  options: IntakeInput["options"];
}

const option = z.string().max(40).nullable().default(null);

export const formPreview = defineView({
  name: "form-preview",
  input: z.object({
    rulebookId: z.uuid(),
    group: option,
    campus: option,
    language: option,
    mode: z.enum(MODES).nullable().default(null),
    track: option,
    answers: trialAnswersSchema,
  }),
  read: async ({ pool, actor, now }, { rulebookId, group, answers, ...asked }): Promise<FormPreview | null> => {
    if (!holds(actor, RULEBOOK_READERS)) return null;
    const office = await officeNow(pool);
    const { rows } = await pool.query<Row>(
      `select b.id, b.version, b.body, i.starts_on::text, i.options,
         json_build_object(${offeredBy("p")}) as programme
       from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id where b.id = $1`,
      [rulebookId],
    );
    const [row] = rows;
    if (!row) return null;
    const offered = offeredOptions(row.programme, row);
    const choice = {
      start: row.starts_on,
      language: asked.language ?? offered.languages[0] ?? "",
      group,
      campus: asked.campus ?? offered.campuses[0] ?? null,
      mode: asked.mode ?? offered.modes[0] ?? null,
      track: asked.track ?? offered.tracks[0]?.key ?? null,
    };
    const trial = trialOf({ id: row.id, version: row.version, body: row.body }, choice, answers, office, now.getTime());
    const { requirements, fees, file } = assess({ ...trial, office, at: now.getTime() });
    const gaps = requirements.flatMap(gapsOf);
    return {
      sections: formSections(trial.index, trial.contexts, gaps, trial.facts, office.set).map((s) => ({
        ...s,
        open: "all",
      })),
      requirements: requirements
        .filter((r) => r.standing !== "not needed")
        .map((r) => ({
          key: r.key,
          entry: r.entry,
          kind: r.kind,
          title: r.title,
          neededBy: r.neededBy,
          standing: r.standing,
          proof: r.kind === "document" ? r.proof : null,
        })),
      fees,
      group: file.group,
      groups: office.set.groups.map((g) => ({ key: g.key, title: g.title })),
      campuses: office.set.campuses.filter((c) => offered.campuses.includes(c.key)),
      languages: offered.languages,
      modes: offered.modes,
      tracks: offered.tracks,
      office: registersOf(office.set),
    };
  },
});
