import { z } from "zod";
import type { Grant } from "../../core/rights/actor";
import { defineView } from "../view/view";

export interface StaffMember {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly grants: readonly Grant[];
  readonly hasPassword: boolean;
}

/** The people who work in the office and their roles, for an administrator. */
export const staff = defineView({
  name: "staff",
  input: z.object({}),
  read: async ({ pool, actor }): Promise<readonly StaffMember[] | null> => {
    if (actor.kind !== "person" || !actor.grants.some((g) => g.role === "administrator")) return null;
    const { rows } = await pool.query<StaffMember>(
      `select p.id, p.name, p.email, p.account_id is not null as "hasPassword", json_agg(json_build_object('role', g.role, 'scope', g.scope) order by g.role) as grants
       from person p join role_grant g on g.person_id = p.id group by p.id order by p.name`,
    );
    return rows;
  },
});
