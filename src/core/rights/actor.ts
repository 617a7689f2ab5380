/** Who acts or reads. Rights are ours: a person's grants, or being the holder of one link. */
export const ROLES = [
  "officer",
  "lead officer",
  "standards keeper",
  "finance",
  "assessor",
  "adviser",
  "administrator",
  "agent",
] as const;
export type Role = (typeof ROLES)[number];

/** The roles that can be held over one programme; the others are over the whole office or nothing. */
export const BY_PROGRAMME: readonly Role[] = ["officer", "lead officer", "assessor", "adviser"];

export interface Grant {
  readonly role: Role;
  /** `*`, or the code of one programme. */
  readonly scope: string;
}

export type Actor =
  | { readonly kind: "person"; readonly id: string; readonly name: string; readonly grants: readonly Grant[] }
  | { readonly kind: "link"; readonly requestId: string }
  | { readonly kind: "visitor" }
  | { readonly kind: "system" };

/** How an actor is written into events: an id, never a name. */
export function actorKey(actor: Actor): string {
  switch (actor.kind) {
    case "person":
      return `person:${actor.id}`;
    case "link":
      return `link:${actor.requestId}`;
    case "visitor":
    case "system":
      return actor.kind;
  }
}

/** Whether somebody holds one of the roles, over everything or over one of the programmes. */
export function holds(actor: Actor, roles: readonly Role[], programmes?: readonly string[]): boolean {
  if (actor.kind !== "person") return false;
  return actor.grants.some(
    (g) => roles.includes(g.role) && (g.scope === "*" || programmes === undefined || programmes.includes(g.scope)),
  );
}

/** The roles that work on files. A lead officer may do all that an officer may. */
export const OFFICE: readonly Role[] = ["officer", "lead officer"];

/** The roles that may read how files are judged: rulebooks, standards, institutions and rulings. */
export const RULEBOOK_READERS: readonly Role[] = ["officer", "lead officer", "standards keeper", "administrator"];

/** The roles that plan what is offered, and that publish it. */
export const PLANNERS: readonly Role[] = ["lead officer", "administrator"];

/** The roles that draft rulebooks. */
export const DRAFTERS: readonly Role[] = ["officer", "lead officer", "administrator"];

/** The roles that keep what the whole office goes by: standards, registers, lists of owners, rulings. */
export const KEEPERS: readonly Role[] = ["standards keeper", "administrator"];
