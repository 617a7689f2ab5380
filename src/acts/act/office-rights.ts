import { DRAFTERS, holds, KEEPERS, PLANNERS, type Role } from "../../core/rights/actor";
import type { ActContext } from "./act";

/**
 * Rights that are not about one file: over the plans and the rulebooks of one programme, or over what the whole office goes by. Somebody
 * who is limited to programmes has none over any other, nor over what all of them share.
 */
type May<Input> = (ctx: ActContext, input: Input) => boolean | Promise<boolean>;

/** By what an act names the programme that it touches, and where its code is found. */
const PROGRAMME_OF = {
  programme: "select code from programme where code = $1",
  intake: "select p.code from intake i join programme p on p.id = i.programme_id where i.id = $1::uuid",
  round:
    "select p.code from round r join intake i on i.id = r.intake_id join programme p on p.id = i.programme_id where r.id = $1::uuid",
  rulebook:
    "select p.code from rulebook b join intake i on i.id = b.intake_id join programme p on p.id = i.programme_id where b.id = $1::uuid",
} as const;
export type Named = readonly [by: keyof typeof PROGRAMME_OF, id: string];

function over<Input>(roles: readonly Role[], named: (input: Input) => Named): May<Input> {
  return async ({ actor, client }, input) => {
    if (actor.kind === "system" || holds(actor, roles, [])) return true;
    if (!holds(actor, roles)) return false;
    const [by, id] = named(input);
    const { rows } = await client.query<{ code: string }>(PROGRAMME_OF[by], [id]);
    return holds(
      actor,
      roles,
      rows.map((r) => r.code),
    );
  };
}

/** Who plans a programme: its lead officer, an administrator, or the system when it loads a catalogue. */
export const plans = <Input>(named: (input: Input) => Named): May<Input> => over(PLANNERS, named);

/** Who drafts a programme's rulebook: an officer of it; publishing is for those who plan it. */
export const drafts = <Input>(named: (input: Input) => Named): May<Input> => over(DRAFTERS, named);

/** Plans of several programmes at once, or of one that is not there yet: who is limited to none. */
export const plansAll = ({ actor }: ActContext): boolean => actor.kind === "system" || holds(actor, PLANNERS, []);

/** What rulebooks of several programmes share. */
export const draftsAll = ({ actor }: ActContext): boolean => actor.kind === "system" || holds(actor, DRAFTERS, []);

/** What the whole office goes by: standards, registers, lists of owners, rulings that are offered to all. */
export const keeps = ({ actor }: ActContext): boolean => actor.kind === "system" || holds(actor, KEEPERS);
