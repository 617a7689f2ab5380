import type { AnswerFact, ConfirmationFact, FileFacts, Json } from "../file/facts";

/** The fields of a section's entries in the order in which they were first met: the same place in each of its rows. */
class Layout {
  readonly fields: string[] = [];
  private readonly places = new Map<string, number>();

  /** @returns -1 for a field that nobody has answered in any entry */
  find(field: string): number {
    return this.places.get(field) ?? -1;
  }

  /** @param guess entries are answered field by field in one order, so it is mostly the place after the last one */
  take(field: string, guess: number): number {
    if (this.fields[guess] === field) return guess;
    const known = this.places.get(field);
    if (known !== undefined) return known;
    this.places.set(field, this.fields.length);
    return this.fields.push(field) - 1;
  }
}

/** The answers of one entry, or of a section outside lists. */
export class AnswerRow {
  private readonly answers: (AnswerFact | undefined)[] = [];
  private confirmations: (ConfirmationFact | undefined)[] | null = null;

  constructor(readonly layout: Layout) {}

  put(place: number, answer: AnswerFact): void {
    // Without holes, which would make an array of it that is slow to read.
    while (this.answers.length < place) this.answers.push(undefined);
    this.answers[place] = answer;
  }

  confirm(place: number, confirmation: ConfirmationFact): void {
    this.confirmations ??= [];
    this.confirmations[place] = confirmation;
  }

  answerAt(place: number): AnswerFact | undefined {
    return this.answers[place];
  }

  confirmationAt(place: number): ConfirmationFact | undefined {
    return this.confirmations?.[place];
  }

  claim(field: string): Json {
    return this.claimAt(this.layout.find(field));
  }

  claimAt(place: number): Json {
    return this.answers[place]?.value ?? null;
  }

  /** The version of the claim; null where there is none. */
  version(field: string): number | null {
    return this.answers[this.layout.find(field)]?.version ?? null;
  }

  /** What was confirmed, in place of what is claimed. */
  value(field: string): Json {
    const place = this.layout.find(field);
    const confirmation = this.confirmations?.[place];
    return (confirmation ? confirmation.value : this.answers[place]?.value) ?? null;
  }

  confirmation(field: string): ConfirmationFact | undefined {
    return this.confirmations?.[this.layout.find(field)];
  }

  /** Whether the claim has changed since it was confirmed. */
  isStale(field: string): boolean {
    const place = this.layout.find(field);
    const [answer, confirmation] = [this.answers[place], this.confirmations?.[place]];
    return answer !== undefined && confirmation !== undefined && answer.version > confirmation.answerVersion;
  }

  /** Whether the office still owes a look at a value: it is claimed and not confirmed, or the claim has changed since. */
  isUnconfirmed(field: string): boolean {
    const place = this.layout.find(field);
    if (this.confirmations?.[place] !== undefined) return this.isStale(field);
    const claim = this.claimAt(place);
    return claim !== null && claim !== "";
  }

  /** Every answer that there is, by field. */
  answered(): readonly AnswerFact[] {
    return this.answers.filter((a) => a !== undefined);
  }
}

/** The entries of a list in their order, with their rows. */
interface Lines {
  readonly ids: readonly string[];
  readonly rows: readonly AnswerRow[];
}

/** One section's answers: the entries that were claimed, in the order in which they were added, and the rows of all ("" outside lists). */
interface SectionAnswers {
  readonly layout: Layout;
  readonly entries: string[];
  readonly rows: Map<string, AnswerRow>;
  readonly lines: { readonly ids: string[]; readonly rows: AnswerRow[] };
}

interface Place {
  readonly scope: string;
  readonly section: string;
  readonly entry: string;
}

function getOrMake<Key, Value>(map: Map<Key, Value>, key: Key, make: () => Value): Value {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = make();
  map.set(key, made);
  return made;
}

const makeSection = (): SectionAnswers => ({
  layout: new Layout(),
  entries: [],
  rows: new Map(),
  lines: { ids: [], rows: [] },
});
const makeSections = (): Map<string, SectionAnswers> => new Map();

const NO_ROW = new AnswerRow(new Layout());
const NO_ROWS: ReadonlyMap<string, AnswerRow> = new Map();
const NO_ENTRIES: readonly string[] = [];
const NO_LINES: Lines = { ids: [], rows: [] };

/**
 * Answers and confirmations by their place. Looked up thousands of times for one file: the fields of a section have places of their own,
 * and each entry is a row of answers at those places.
 */
export class AnswerIndex {
  private readonly scopes = new Map<string, Map<string, SectionAnswers>>();

  constructor(facts: Pick<FileFacts, "answers" | "confirmations">) {
    let last: Place | null = null;
    let row = NO_ROW;
    let place = -1;
    for (const answer of facts.answers) {
      // A file's answers come entry by entry.
      if (last?.entry !== answer.entry || last.section !== answer.section || last.scope !== answer.scope) {
        row = this.makeRow(answer, true);
        place = -1;
      }
      last = answer;
      place = row.layout.take(answer.field, place + 1);
      row.put(place, answer);
    }
    for (const confirmation of facts.confirmations) {
      const confirmed = this.makeRow(confirmation, false);
      confirmed.confirm(confirmed.layout.take(confirmation.field, -1), confirmation);
    }
  }

  /** @param claimed whether the applicant has the entry: what an officer added from a document stands in no form */
  private makeRow({ scope, section, entry }: Place, claimed: boolean): AnswerRow {
    const own = getOrMake(getOrMake(this.scopes, scope, makeSections), section, makeSection);
    const known = own.rows.get(entry);
    if (known !== undefined) return known;
    const made = new AnswerRow(own.layout);
    own.rows.set(entry, made);
    if (entry === "") return made;
    own.lines.ids.push(entry);
    own.lines.rows.push(made);
    if (claimed) own.entries.push(entry);
    return made;
  }

  /** The ids of the entries that the applicant made, in the order in which they were added. */
  entries(scope: string, section: string): readonly string[] {
    return this.scopes.get(scope)?.get(section)?.entries ?? NO_ENTRIES;
  }

  /** The rows of a section, by entry, with those that an officer added: what a walk over a whole list looks at. */
  rows(scope: string, section: string): ReadonlyMap<string, AnswerRow> {
    return this.scopes.get(scope)?.get(section)?.rows ?? NO_ROWS;
  }

  /** The entries of a list with those that an officer added, and their rows: all of one layout. */
  lines(scope: string, section: string): Lines {
    return this.scopes.get(scope)?.get(section)?.lines ?? NO_LINES;
  }

  /** The row of one entry, or of a section outside lists; an empty one where nobody has answered. */
  row(scope: string, section: string, entry: string): AnswerRow {
    return this.scopes.get(scope)?.get(section)?.rows.get(entry) ?? NO_ROW;
  }

  claim(scope: string, section: string, entry: string, field: string): Json {
    return this.row(scope, section, entry).claim(field);
  }

  confirmed(scope: string, section: string, entry: string, field: string): ConfirmationFact | undefined {
    return this.row(scope, section, entry).confirmation(field);
  }

  isStale({ scope, section, entry, field }: ConfirmationFact): boolean {
    return this.row(scope, section, entry).isStale(field);
  }
}
