import type { AnswerFact, ConfirmationFact, FileFacts, Json } from "../file/facts";

type Column<Value> = (Value | undefined)[];

/**
 * The answers of a section, field by field: a column for each field that anybody has answered, a place in it for each entry. Lists and
 * what stands outside them are sheets of their own; the latter has one entry, "".
 */
export class AnswerSheet {
  /** The entries in the order in which they were added; those that an officer added from a document, and that stand in no form, last. */
  readonly ids: string[] = [];
  /** How many of them the applicant has. */
  claimed = 0;
  /** In the order in which they were first met: the same place in each of the columns. */
  readonly fields: string[] = [];
  private readonly claims: Column<AnswerFact>[] = [];
  /** By the same places; null while nothing of it is confirmed. */
  private confirmations: (Column<ConfirmationFact> | undefined)[] | null = null;
  private places: Map<string, number> | null = null;

  /** The place of a field; -1 for one that nobody has answered in any entry. */
  find(field: string): number {
    return this.fields.indexOf(field);
  }

  /** The place of an entry; -1 for one that is not there. */
  placeOf(entry: string): number {
    const { ids } = this;
    if (ids.length <= FEW) return ids.indexOf(entry);
    this.places ??= new Map();
    for (let i = this.places.size; i < ids.length; i += 1) this.places.set(ids[i] ?? "", i);
    return this.places.get(entry) ?? -1;
  }

  /** @param guess entries are answered field by field in one order, so it is mostly the place after the last one */
  private take(field: string, guess: number): number {
    if (guess >= 0 && guess < this.fields.length && this.fields[guess] === field) return guess;
    const known = this.fields.indexOf(field);
    return known >= 0 ? known : this.fields.push(field) - 1;
  }

  /** The place of an entry, which is made where it is not there. */
  takeEntry(entry: string): number {
    const known = this.placeOf(entry);
    return known >= 0 ? known : this.ids.push(entry) - 1;
  }

  put(entry: number, guess: number, answer: AnswerFact): number {
    const place = this.take(answer.field, guess);
    while (this.claims.length < place) this.claims.push([]);
    const column = this.claims[place];
    // An array made of its first element takes no room for more: most sheets have one entry.
    if (column === undefined && entry === 0) this.claims[place] = [answer];
    else {
      const own = column ?? [];
      this.claims[place] = own;
      // Without holes, which would make an array of it that is slow to read.
      while (own.length < entry) own.push(undefined);
      own[entry] = answer;
    }
    return place;
  }

  confirm(entry: number, confirmation: ConfirmationFact): void {
    const place = this.take(confirmation.field, -1);
    this.confirmations ??= [];
    const column = this.confirmations[place] ?? [];
    this.confirmations[place] = column;
    column[entry] = confirmation;
  }

  /** The claims of a field in the order of the entries, as far as there are any. */
  claimsOf(field: number): readonly (AnswerFact | undefined)[] {
    return field < 0 ? NO_CLAIMS : (this.claims[field] ?? NO_CLAIMS);
  }

  /** Whether nothing of it is confirmed. */
  get isOnlyClaimed(): boolean {
    return this.confirmations === null;
  }

  // A place of -1 is asked for often, and arrays are slow to say that they have none.

  claimAt(field: number, entry: number): AnswerFact | undefined {
    return field < 0 || entry < 0 ? undefined : this.claims[field]?.[entry];
  }

  confirmationAt(field: number, entry: number): ConfirmationFact | undefined {
    return this.confirmations === null || field < 0 || entry < 0 ? undefined : this.confirmations[field]?.[entry];
  }

  /** What was confirmed, in place of what is claimed. */
  valueAt(field: number, entry: number): Json {
    const confirmation = this.confirmationAt(field, entry);
    return (confirmation === undefined ? this.claimAt(field, entry)?.value : confirmation.value) ?? null;
  }

  /** Whether the claim has changed since it was confirmed. */
  isStaleAt(field: number, entry: number): boolean {
    const [answer, confirmation] = [this.claimAt(field, entry), this.confirmationAt(field, entry)];
    return answer !== undefined && confirmation !== undefined && answer.version > confirmation.answerVersion;
  }

  /** Whether the office still owes a look at a value: it is claimed and not confirmed, or the claim has changed since. */
  isUnconfirmedAt(field: number, entry: number): boolean {
    if (this.confirmationAt(field, entry) !== undefined) return this.isStaleAt(field, entry);
    const claim = this.claimAt(field, entry)?.value ?? null;
    return claim !== null && claim !== "";
  }
}

const NO_CLAIMS: readonly undefined[] = [];

/** So many are looked through faster than they are found by a key. */
const FEW = 6;

/** The answers of one entry, or of a section outside lists. */
export class AnswerRow {
  constructor(
    private readonly sheet: AnswerSheet,
    private readonly entry: number,
  ) {}

  claim(field: string): Json {
    return this.sheet.claimAt(this.sheet.find(field), this.entry)?.value ?? null;
  }

  /** The version of the claim; null where there is none. */
  version(field: string): number | null {
    return this.sheet.claimAt(this.sheet.find(field), this.entry)?.version ?? null;
  }

  /** What was confirmed, in place of what is claimed. */
  value(field: string): Json {
    return this.sheet.valueAt(this.sheet.find(field), this.entry);
  }

  confirmation(field: string): ConfirmationFact | undefined {
    return this.sheet.confirmationAt(this.sheet.find(field), this.entry);
  }

  isStale(field: string): boolean {
    return this.sheet.isStaleAt(this.sheet.find(field), this.entry);
  }

  isUnconfirmed(field: string): boolean {
    return this.sheet.isUnconfirmedAt(this.sheet.find(field), this.entry);
  }

  /** Every answer that there is, field by field. */
  answered(): readonly AnswerFact[] {
    return this.sheet.fields.flatMap((_, field) => this.sheet.claimAt(field, this.entry) ?? []);
  }
}

/** One section's answers: what stands outside its list, and its list. */
class SectionAnswers {
  outside: AnswerSheet | null = null;
  list: AnswerSheet | null = null;

  take(entry: string): AnswerSheet {
    if (entry === "") {
      this.outside ??= new AnswerSheet();
      return this.outside;
    }
    this.list ??= new AnswerSheet();
    return this.list;
  }
}

const NO_SHEET = new AnswerSheet();
const NO_ROW = new AnswerRow(NO_SHEET, -1);

/** Answers and confirmations by their place. */
export class AnswerIndex {
  private readonly scopes = new Map<string, Map<string, SectionAnswers>>();

  constructor(facts: Pick<FileFacts, "answers" | "confirmations">) {
    let last: AnswerFact | null = null;
    let own: SectionAnswers | null = null;
    let sheet = NO_SHEET;
    let entry = -1;
    let field = -1;
    for (const answer of facts.answers) {
      // A file's answers come section by section, and entry by entry.
      const sameSection: boolean = last !== null && last.section === answer.section && last.scope === answer.scope;
      if (own === null || !sameSection) own = this.take(answer.scope, answer.section);
      if (!sameSection || last?.entry !== answer.entry) {
        sheet = own.take(answer.entry);
        entry = sheet.takeEntry(answer.entry);
        sheet.claimed = sheet.ids.length;
        field = -1;
      }
      last = answer;
      field = sheet.put(entry, field + 1, answer);
    }
    for (const confirmation of facts.confirmations) {
      const confirmed = this.take(confirmation.scope, confirmation.section).take(confirmation.entry);
      confirmed.confirm(confirmed.takeEntry(confirmation.entry), confirmation);
    }
  }

  private take(scope: string, section: string): SectionAnswers {
    let sections = this.scopes.get(scope);
    if (sections === undefined) {
      sections = new Map();
      this.scopes.set(scope, sections);
    }
    let own = sections.get(section);
    if (own === undefined) {
      own = new SectionAnswers();
      sections.set(section, own);
    }
    return own;
  }

  /** What a section holds outside its list; empty where nobody has answered. */
  outside(scope: string, section: string): AnswerSheet {
    return this.scopes.get(scope)?.get(section)?.outside ?? NO_SHEET;
  }

  /** The list of a section; empty where nobody has answered. */
  list(scope: string, section: string): AnswerSheet {
    return this.scopes.get(scope)?.get(section)?.list ?? NO_SHEET;
  }

  /** The ids of the entries that the applicant made, in the order in which they were added. */
  entries(scope: string, section: string): readonly string[] {
    const { ids, claimed } = this.list(scope, section);
    return claimed === ids.length ? ids : ids.slice(0, claimed);
  }

  /** The row of one entry, or of a section outside lists; an empty one where nobody has answered. */
  row(scope: string, section: string, entry: string): AnswerRow {
    const sheet = entry === "" ? this.outside(scope, section) : this.list(scope, section);
    const place = sheet.placeOf(entry);
    return place < 0 ? NO_ROW : new AnswerRow(sheet, place);
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
