import { z } from "zod";
import { type Grant, holds } from "../../core/rights/actor";
import type { LocalText } from "../../core/text/local-text";
import { defineView } from "../view/view";

export interface StaffMember {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly grants: readonly (Grant & {
    /** When it ends; null for a role that is held until it is taken away. */
    readonly until: string | null;
    readonly over: boolean;
  })[];
  readonly hasPassword: boolean;
  readonly hasSecondFactor: boolean;
  /** When they signed in last, as far as the access record goes back; null where they never did. */
  readonly lastSignIn: string | null;
}

export interface Staff {
  readonly people: readonly StaffMember[];
  readonly programmes: readonly { readonly code: string; readonly title: LocalText }[];
}

/** The people who work in the office and their roles, for an administrator; with those whose roles were all taken away. */
export const staff = defineView({
  name: "staff",
  input: z.object({}),
  read: async ({ pool, actor, now }): Promise<Staff | null> => {
    if (!holds(actor, ["administrator"])) return null;
    const [people, programmes] = await Promise.all([
      pool.query<StaffMember>(
        `select p.id, p.name, p.email, exists (select 1 from auth_account a where a.user_id = p.account_id and a.password is not null) as "hasPassword",
           exists (select 1 from auth_user u where u.id = p.account_id and u.two_factor_enabled) as "hasSecondFactor",
           (select r.at from access_record r where r.person_id = p.id and r.kind = 'signed in' order by r.id desc limit 1) as "lastSignIn",
           coalesce((select json_agg(json_build_object('role', g.role, 'scope', g.scope, 'until', g.until, 'over', g.until is not null and g.until <= $1)
             order by g.role, g.scope) from role_grant g where g.person_id = p.id), '[]') as grants
         from person p where exists (select 1 from role_grant g where g.person_id = p.id)
           or exists (select 1 from event e where e.act in ('make-staff', 'change-role') and e.about->>'person' = p.id::text)
         order by p.name`,
        [now],
      ),
      pool.query<Staff["programmes"][number]>("select code, title from programme order by code"),
    ]);
    return { people: people.rows, programmes: programmes.rows };
  },
});
