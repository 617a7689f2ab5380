import { type Actor, holds, OFFICE, type Role, RULEBOOK_READERS } from "../../core/rights/actor";

/** A page of the office: its word, who works there, and the letter that leads to it after `g`. */
export interface OfficePage {
  readonly href: string;
  readonly word: string;
  readonly letter: string;
  readonly roles: readonly Role[];
}

export interface OfficeGroup {
  readonly word: string;
  readonly pages: readonly OfficePage[];
}

const page = (href: string, word: string, letter: string, roles: readonly Role[]): OfficePage => ({
  href: `/office${href}`,
  word,
  letter,
  roles,
});

const ADMINISTRATOR: readonly Role[] = ["administrator"];

/** The head of the office, in groups that follow the work. */
const GROUPS: readonly OfficeGroup[] = [
  {
    word: "Turns",
    pages: [
      page("", "Turns", "t", OFFICE),
      page("/checks", "Check run", "k", OFFICE),
      page("/awaited", "Still to come", "w", OFFICE),
      page("/drafts", "Drafts", "d", OFFICE),
      page("/assigning", "Assigning", "j", OFFICE),
    ],
  },
  {
    word: "Arrivals",
    pages: [
      page("/papers", "Papers", "h", OFFICE),
      page("/mail-in", "Mail to place", "v", OFFICE),
      page("/references", "References", "z", OFFICE),
      page("/post", "Addresses", "p", OFFICE),
      page("/results", "Test results", "r", OFFICE),
      page("/copies", "Copies", "c", OFFICE),
    ],
  },
  { word: "In confidence", pages: [page("/confided", "In confidence", "i", ["adviser"])] },
  { word: "Money", pages: [page("/money", "Money", "y", ["finance"])] },
  {
    word: "Plan",
    pages: [
      page("/programmes", "Programmes", "o", RULEBOOK_READERS),
      page("/rulebooks", "Rulebooks", "b", RULEBOOK_READERS),
      page("/standards", "Standards", "s", RULEBOOK_READERS),
      page("/institutions", "Institutions", "n", RULEBOOK_READERS),
      page("/rulings", "Rulings", "u", RULEBOOK_READERS),
      page("/texts", "Texts", "l", OFFICE),
    ],
  },
  {
    word: "Figures",
    pages: [page("/figures", "Figures", "f", OFFICE), page("/clocks", "Clocks", "q", OFFICE)],
  },
  {
    word: "Office",
    pages: [
      page("/people", "People and roles", "e", ADMINISTRATOR),
      page("/mail", "Mail", "m", ADMINISTRATOR),
      page("/access", "Access", "a", ADMINISTRATOR),
      page("/erasures", "Erasure", "x", ADMINISTRATOR),
    ],
  },
];

/** What somebody works with; a group of which nothing is theirs is not there. */
export const groupsFor = (actor: Actor): readonly OfficeGroup[] =>
  GROUPS.map(({ word, pages }) => ({ word, pages: pages.filter(({ roles }) => holds(actor, roles)) })).filter(
    ({ pages }) => pages.length > 0,
  );

/** The page at whose place somebody is: the one whose address leads the furthest into theirs. */
export function pageAt(groups: readonly OfficeGroup[], path: string): OfficePage | undefined {
  const pages = groups.flatMap((g) => g.pages);
  const leads = ({ href }: OfficePage) => path === href || (href !== "/office" && path.startsWith(`${href}/`));
  const [furthest] = pages.filter(leads).toSorted((a, b) => b.href.length - a.href.length);
  // A file is opened out of the turns.
  return furthest ?? (path.startsWith("/office/files/") ? pages.find((p) => p.href === "/office") : undefined);
}
