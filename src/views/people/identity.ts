import type pg from "pg";
import type { Actor, Grant } from "../../core/rights/actor";
import type { Locale } from "../../core/text/local-text";

export interface Identity {
  readonly actor: Extract<Actor, { kind: "person" }>;
  readonly email: string;
  readonly locale: Locale;
  /** Whether they hold a role of the office. */
  readonly isStaff: boolean;
  /** They have to set up a second factor before their roles count. */
  readonly owesSecondFactor: boolean;
}

/** Somebody of the office as long as they have no second factor where one is asked for: none of their roles counts. */
export const withoutRights = (person: Identity): Identity => ({
  ...person,
  actor: { ...person.actor, grants: [] },
  owesSecondFactor: true,
});

/** The person behind an account, with their grants. */
export async function identityOf(pool: pg.Pool, accountId: string, now: Date): Promise<Identity | null> {
  const { rows } = await pool.query<{ id: string; name: string; email: string; locale: Locale; grants: Grant[] }>(
    `select p.id, p.name, p.email, p.locale,
       coalesce((select json_agg(json_build_object('role', g.role, 'scope', g.scope)) from role_grant g where g.person_id = p.id and (g.until is null or g.until > $2)), '[]'::json) as grants
     from person p where p.account_id = $1`,
    [accountId, now],
  );
  const [row] = rows;
  return row
    ? {
        actor: { kind: "person", id: row.id, name: row.name, grants: row.grants },
        email: row.email,
        locale: row.locale,
        isStaff: row.grants.length > 0,
        owesSecondFactor: false,
      }
    : null;
}
