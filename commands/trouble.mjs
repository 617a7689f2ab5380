/** Something that the person at the keyboard can mend: printed as one clear sentence, without a stack. */
export class Trouble extends Error {}
