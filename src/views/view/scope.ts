import { type Actor, OFFICE, type Role } from "../../core/rights/actor";

/**
 * The programmes over which somebody holds one of the roles: all, or a list of codes; null for nobody. It goes into each
 * query as a parameter, so that a view cannot forget it.
 */
export function programmesOf(actor: Actor, roles: readonly Role[] = OFFICE): "all" | readonly string[] | null {
  if (actor.kind !== "person") return null;
  const scopes = actor.grants.filter((g) => roles.includes(g.role)).map((g) => g.scope);
  if (scopes.length === 0) return null;
  return scopes.includes("*") ? "all" : scopes;
}

/** SQL that holds for files with a choice in the programmes; `$n` is the parameter with `scopeParameter`. */
export function fileInScope(application: string, parameter: string): string {
  return `(${parameter}::text[] is null or exists (select 1 from choice sc join intake si on si.id = sc.intake_id join programme sp on sp.id = si.programme_id
    where sc.application_id = ${application} and sp.code = any(${parameter}::text[])))`;
}

export function scopeParameter(scope: "all" | readonly string[]): readonly string[] | null {
  return scope === "all" ? null : scope;
}
