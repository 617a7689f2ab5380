/** JSON paths into the body of a rulebook: little is read of it where little is shown. */

/** The titles of what has to be had ready: everything that is asked for but the form itself and the fees. */
export const NEEDED_TITLES = '$.requirements[*] ? (@.kind != "sections" && @.kind != "fee").title';
