/** What an invented applicant states: enough to fill every field of the form that applies to them. */
export interface Profile {
  readonly given: string;
  readonly family: string;
  readonly email: string;
  readonly locale: "en" | "fr";
  /** Not everybody leaves one. */
  readonly phone?: string;
  readonly birthDate: string;
  readonly birthPlace: string;
  readonly town: string;
  readonly country: string;
  readonly citizenships: readonly string[];
  readonly residence: string;
  readonly passportNumber: string;
  readonly passportExpiry: string;
  /** What stands on the document itself, where it differs from what was typed. */
  readonly passportOnPaper?: string;
  readonly degree: {
    readonly institution: string;
    readonly country: string;
    readonly level: string;
    readonly title: string;
    readonly status: "completed" | "in progress";
    readonly start: string;
    readonly end: string;
    readonly language: string;
    readonly creditsPerYear: string;
    readonly scale: string;
    readonly gradeBest?: string;
    readonly gradePass?: string;
    readonly grade?: string;
  };
  readonly courses: readonly {
    readonly title: string;
    readonly credits: string;
    readonly area: string;
    readonly status: "completed" | "in progress" | "registered";
    readonly grade?: string;
  }[];
  readonly english:
    | { readonly way: "taught"; readonly says?: string }
    | {
        readonly way: "test";
        readonly test: "het" | "kle";
        readonly date: string;
        /** Under which the owner of the test has the result. */
        readonly number?: string;
        readonly scores?: Readonly<Record<string, string>>;
        readonly expected?: string;
        /** The level that they see themselves at. */
        readonly says?: string;
      };
  readonly referee: {
    readonly name: string;
    readonly email: string;
    readonly institution: string;
    readonly words: string;
  };
  readonly motivation: string;
}
