import { describe, expect, it } from "vitest";
import { ALL, look, person, SUBMITTED } from "../../../tests/support/sample-assessment";
import { sampleFile } from "../../demo/sample-file";
import type { AskFact, FileFacts } from "../file/facts";
import type { ExplainedAssessment } from "../file/result";
import type { Instant, PlainDate } from "../ids";
import { type ApplicantAssessment, applicantsShare } from "./applicants-share";

const documents = ALL.map((requirement) => ({ requirement }));
const submitted = (facts: Partial<FileFacts> = {}): FileFacts =>
  sampleFile(person(), { submittedAt: SUBMITTED, evidence: documents, facts });
const share = (facts: FileFacts) => applicantsShare(look(facts), new Set());
const kinds = ({ file }: ApplicantAssessment) => [file.next?.kind, ...file.besides.map((s) => s.kind)];
const ask = (due: string, id = "ask"): AskFact => ({
  id,
  wants: "evidence",
  inWords: false,
  readAt: null,
  requirement: "passport",
  scope: "file",
  entry: "",
  askedAt: SUBMITTED,
  due: due as PlainDate,
  answeredAt: null,
});

/** The applicant reads first what they owe themselves, by the nearest day, whoever's turn the file is in the office's list. */
describe("what an applicant sees of an assessment", () => {
  it("is the office's step where they owe nothing themselves", () => {
    const { file } = share(
      submitted({ excuses: [{ requirement: "reference", scope: "file", entry: "", at: SUBMITTED }] }),
    );
    expect([file.turn, file.next?.kind, file.besides, file.others]).toEqual(["office", "check", [], null]);
  });

  it("puts a choice that is not submitted before what the office does with the other one", () => {
    const facts = submitted();
    const [choice] = facts.choices;
    if (!choice) throw new Error("no choice");
    const second = { ...choice, id: "choice-2", rank: 2, submittedAt: null };
    const shared = share({ ...facts, choices: [choice, second] });
    expect(look({ ...facts, choices: [choice, second] }).file.turn).toBe("office");
    expect([shared.file.turn, shared.file.next]).toMatchObject(["applicant", { scope: "choice-2" }]);
    expect(shared.file.others?.kind).toBe("check");
  });

  it("orders what they owe by the nearest day, and what has no day last", () => {
    const reopenings = [
      {
        id: "reopening",
        sections: [{ scope: "file", section: "person" }],
        openedAt: SUBMITTED,
        due: "2026-12-01" as PlainDate,
        answeredAt: null,
        readAt: null,
      },
    ];
    const both = submitted({ reopenings, asks: [ask("2026-12-05")] });
    expect(kinds(share(both))).toEqual(["correct", "answer ask", "name referee"]);
    expect(kinds(share({ ...both, asks: [ask("2026-11-28")] }))).toEqual(["answer ask", "correct", "name referee"]);
  });

  it("counts a fee that is due as theirs, and one that is on its way as not", () => {
    const fee = (paid: boolean): FileFacts => {
      const facts = sampleFile(person({ citizenships: ["SR"], residence: "SR" }), {
        submittedAt: SUBMITTED,
        evidence: documents,
      });
      const charge = {
        id: "c",
        item: "handling",
        scope: "choice-1",
        minor: 5500,
        currency: "EUR",
        paidMinor: 0,
        paidAt: null,
      };
      return { ...facts, charges: [{ ...charge, announcedAt: paid ? (SUBMITTED as Instant) : null }] };
    };
    expect(share(fee(false)).file).toMatchObject({
      turn: "applicant",
      besides: expect.arrayContaining([expect.objectContaining({ kind: "pay" })]),
    });
    expect(kinds(share(fee(true)))).not.toContain("pay");
  });

  it("leaves a draft theirs, whatever was asked of the office in the meantime", () => {
    const { file } = share(sampleFile(person()));
    expect([file.turn, file.next?.kind, file.others]).toEqual(["applicant", "fill", null]);
  });

  it("is no assessment of the office's, and the office's is none of theirs: a page that forgets to cut does not compile", () => {
    const whole: ExplainedAssessment = look(submitted());
    const cut: ApplicantAssessment = applicantsShare(whole, new Set());
    // @ts-expect-error the whole assessment is not for applicants
    const forgotten: ApplicantAssessment = whole;
    // @ts-expect-error what was cut is not the whole
    const mistaken: ExplainedAssessment = cut;
    expect(Object.keys(forgotten)).toContain("awaited");
    expect(Object.keys(mistaken)).not.toContain("awaited");
    expect(JSON.stringify(cut)).not.toMatch(/"eligibility"|"shows"|"checks"|"owed"/u);
  });
});
