import { randomUUID } from "node:crypto";
import type pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { z } from "zod";
import { ACTS } from "../../src/acts";
import { type Act, type Runtime, runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { requestReference } from "../../src/acts/references/request-reference";
import type { Actor } from "../../src/core/rights/actor";
import { storeContent } from "../../src/db/content";
import { fillForm, supply } from "../../src/demo/applicant";
import { loadCatalogue } from "../../src/demo/catalogue";
import { certificate, passport } from "../../src/demo/documents";
import { INSTITUTIONS } from "../../src/demo/institutions";
import { someone } from "../../src/demo/people";
import { PROGRAMMES } from "../../src/demo/programmes";
import { referenceSet } from "../../src/demo/reference-set";
import { mes } from "../../src/demo/rulebooks/mes";
import { SHARED_PARTS } from "../../src/demo/rulebooks/shared";
import { VIEWS } from "../../src/views";
import { readView, type View } from "../../src/views/view/view";
import { MAY, ROLES, type RoleName, SEES } from "../support/rights";
import { makePerson, must, openWorld, SYSTEM, VISITOR, type World } from "../support/world";

/** A runtime in which every act is judged and tried for real, and then taken back. */
function dry(runtime: Runtime): Runtime {
  const connect = async () => {
    const client = await runtime.pool.connect();
    return new Proxy(client, {
      get(target, name) {
        if (name === "query")
          return (text: unknown, ...rest: unknown[]) =>
            (target.query as (...args: unknown[]) => unknown)(text === "commit" ? "rollback" : text, ...rest);
        const value = Reflect.get(target, name) as unknown;
        return typeof value === "function" ? value.bind(target) : value;
      },
    });
  };
  return { ...runtime, pool: { connect } as unknown as pg.Pool };
}

const window = {
  key: "1",
  opensAt: "2026-10-01T09:00:00.000Z",
  closings: [{ group: "home", at: "2027-01-09T18:00:00.000Z" }],
  rolling: false,
  closesWhenFull: false,
  ifPlacesLeft: false,
  prepareBefore: true,
  promiseDays: 30,
};

describe("rights", () => {
  let world: World;
  let actors: Record<RoleName, Actor>;
  let inputs: Record<keyof typeof ACTS, unknown>;
  let seen: Record<keyof typeof VIEWS, unknown>;

  beforeAll(async () => {
    world = await openWorld("rights");
    const { roundId } = await loadCatalogue(world.runtime, "2026-11-25");
    const owner = await makePerson(world, "Owner Of This");
    const profile = someone("Owner", "Of This");
    const { applicationId, number } = await must(world, startApplication, owner, { roundId });
    const ids = await fillForm(world.runtime, owner, applicationId, profile);
    const uploadId = await supply(
      world.runtime,
      owner,
      applicationId,
      "passport",
      "",
      "passport.pdf",
      await passport(profile, world.runtime.now()),
    );
    const { requestId } = await must(world, requestReference, owner, { applicationId, referee: ids.referee });
    const one = async (sql: string) =>
      (await world.runtime.pool.query<{ id: string }>(sql)).rows[0]?.id ?? randomUUID();
    const choiceId = await one("select id from choice");
    actors = {
      visitor: VISITOR,
      system: SYSTEM,
      owner,
      "other applicant": await makePerson(world, "Somebody Else"),
      officer: await makePerson(world, "Officer", ["officer"], "MES"),
      "officer elsewhere": await makePerson(world, "Officer Elsewhere", ["officer"], "MTE"),
      "lead officer": await makePerson(world, "Lead", ["lead officer"]),
      "lead officer elsewhere": await makePerson(world, "Lead Elsewhere", ["lead officer"], "MTE"),
      "standards keeper": await makePerson(world, "Keeper", ["standards keeper"]),
      finance: await makePerson(world, "Finance", ["finance"]),
      assessor: await makePerson(world, "Assessor", ["assessor"]),
      adviser: await makePerson(world, "Adviser", ["adviser"]),
      administrator: await makePerson(world, "Administrator", ["administrator"]),
      referee: { kind: "link", requestId },
    };
    const place = { applicationId, requirement: "passport", scope: "file", entry: "" };
    const bytes = await certificate(profile, world.runtime.now());
    const file = { name: "a.pdf", bytes, mediaType: "application/pdf", pages: 1, marks: [] };
    const intakeId = await one(
      "select i.id from intake i join programme p on p.id = i.programme_id where p.code = 'MES'",
    );
    const institutionId = await one("select id from institution order by name");
    const [newPlace] = INSTITUTIONS.map((i) => ({ ...i, name: "Strand College", otherNames: [] }));
    await world.runtime.pool.query(
      "insert into institution_name (institution_id, name, folded, country, kind) values ($1, 'Sound U', 'sound u', 'SR', 'written')",
      [institutionId],
    );
    const pdf = await storeContent(world.runtime.pool, Buffer.from("%PDF-1.4"), "application/pdf");
    const waitingMail = await one(
      `insert into incoming_mail (message_id, kind, from_address, from_name, subject, text, written, left_out, received_at, outcome)
       values ('<w@b>', 'written', 'a@b.example', '', '', '', '', '[]', now(), 'waiting') returning id`,
    );
    await world.runtime.pool.query(
      "insert into incoming_file (mail_id, no, name, sha256, pages, marks) values ($1, 0, 'a.pdf', $2, 1, '[]')",
      [waitingMail, pdf],
    );
    const otherIntakeId = await one(
      "select i.id from intake i join programme p on p.id = i.programme_id where p.code = 'MTE'",
    );
    const { rulebookId: draftId } = await must(world, ACTS.draftRulebook, SYSTEM, { intakeId, from: null });
    inputs = {
      acceptEvidence: place,
      acceptLink: { token: "x".repeat(43), purpose: "confirm address" },
      answerDecision: { applicationId, choiceId, answer: "accepted" },
      announceOpenings: {},
      forgetInterest: { token: "x".repeat(43) },
      noteInterest: { code: "MES", email: "a@b.example", locale: "en" },
      askApplicant: { ...place, text: "Something", due: "2026-12-10" },
      settleAsk: place,
      filePages: { applicationId, evidenceId: owner.id, parts: [{ ...place, firstPage: 1, lastPage: 1 }] },
      putTogether: { applicationId, evidenceId: owner.id },
      beginSending: { name: "a.pdf", size: 10 },
      dropSending: { id: "x" },
      sendPart: { id: "x", first: 0, bytes: Buffer.from("x") },
      takeApart: { applicationId, evidenceId: owner.id },
      joinPages: { ...place, laid: [{ evidenceId: owner.id, page: 1, turn: 0 }], ...file },
      announcePaper: { ...place, way: "post", expectedOn: "2026-12-20" },
      dropAnnouncement: place,
      notePaper: { ...place, cameOn: "2026-11-24" },
      noteStrayPaper: { contents: "A diploma without a name", cameOn: "2026-11-24" },
      matchPaper: { ...place, paperId: owner.id },
      takePaperBack: { applicationId, paperId: owner.id },
      inspectPaper: { applicationId, paperId: owner.id, sendBack: false },
      sendPaperBack: { applicationId, paperId: owner.id },
      answerAsk: { applicationId, askId: owner.id, text: "Both are mine." },
      extendAsk: { applicationId, askId: owner.id, due: "2026-12-20" },
      readAnswer: { applicationId, askId: owner.id },
      remindAsked: { applicationId },
      sendAskList: { applicationId, items: [{ ...place, wants: "words", text: "Which name?" }], due: "2026-12-10" },
      takeAsksBack: { applicationId, letter: owner.id },
      beginGuess: { email: "a@b.example", network: null },
      changeRole: { personId: owner.id, role: "officer", held: true },
      addRound: { intakeId, round: { ...window, key: "extra" } },
      keepLinkCopy: {
        applicationId,
        scope: "file",
        section: "links",
        field: "links",
        url: "https://a.example",
        name: "a.pdf",
        bytes: Buffer.from("x"),
        mediaType: "application/pdf",
        marks: [],
      },
      setAsideTwin: { applicationId, evidenceId: applicationId },
      noteKeeper: { applicationId, scope: "file", section: "status", field: "oursNumber", text: "x" },
      noteContact: { applicationId, scope: "file", section: "contact", field: "phone", kind: "talked" },
      askContact: { applicationId, scope: "file", section: "contact", field: "phone" },
      confirmContact: { applicationId, scope: "file", section: "contact", field: "phone" },
      noteLink: {
        applicationId,
        scope: "file",
        section: "links",
        field: "links",
        url: "https://a.example",
        opens: true,
      },
      arrangeChoices: { applicationId, order: [choiceId] },
      requestSignature: { applicationId, requirement: "consent" },
      remindSignature: { applicationId, requirement: "consent" },
      signByLink: {
        typed: "A",
        document: { name: "a.pdf", bytes: Buffer.from("%PDF-1.4"), mediaType: "application/pdf", marks: [] },
      },
      declineSignature: {},
      giveUndertaking: { applicationId, order: [choiceId], locale: "en" },
      changeChoice: { applicationId, choiceId, campus: "merrow" },
      changeRound: { roundId, version: 1, round: window, reason: "test" },
      askPreview: { rulebookId: draftId },
      draftRulebook: { intakeId: otherIntakeId, from: null },
      dropRulebook: { rulebookId: draftId },
      savePart: { ...SHARED_PARTS[0], key: "tried", edit: null },
      shareElement: { rulebookId: draftId, edit: 1, area: "sections", key: "person", into: null },
      dropPart: { key: "person" },
      editRulebook: { rulebookId: draftId, edit: 1, body: mes },
      sendAgain: { applicationId, messageId: randomUUID() },
      settleReturned: { applicationId, again: false },
      correctAddress: { applicationId, email: "right@people.example", reason: "Called" },
      placeMail: { applicationId, mailId: randomUUID(), as: "kept" },
      putMailAway: { mailId: randomUUID(), away: true },
      receiveMail: {
        messageId: "<a@b>",
        kind: "written",
        from: { address: "a@b.example", name: "" },
        subject: "",
        text: "",
        written: "",
        answers: [],
        returned: null,
        files: [],
        left: [],
      },
      noteLook: { at: "2026-01-01T00:00:00.000Z" },
      takeLookBack: {},
      saveReason: { key: null, version: 0, title: "A", words: { en: "a", fr: "a" }, offered: true },
      saveWording: {
        template: "withdrawn",
        version: 0,
        words: { en: { subject: "a", body: "{link}" }, fr: { subject: "a", body: "{link}" } },
      },
      keepTrayAnswer: { raw: Buffer.from("x") },
      noteTrayFetched: { id: randomUUID() },
      fileAttachment: { ...place, uploadId: randomUUID() },
      holdAttachment: {
        applicationId,
        name: "a.pdf",
        bytes: Buffer.from("%PDF-1.4"),
        mediaType: "application/pdf",
        marks: [],
      },
      dropHeld: { applicationId, uploadId: randomUUID() },
      moveProgramme: { applicationId, choiceId, roundId, reason: "test" },
      suggestMove: { applicationId, choiceId, roundId, reason: "test" },
      moveToRulebook: { applicationId, choiceId, reason: "test" },
      publishDraft: { rulebookId: draftId, edit: 2 },
      reportPreview: { previewId: randomUUID(), looked: 0, effects: [], finished: true },
      closeRound: { roundId, reason: "test" },
      extendChoice: { applicationId, choiceId, until: "2027-01-09T18:00:00.000Z", reason: "test" },
      reopenRound: { roundId, reason: "test" },
      saveCycle: { key: "2031", title: { en: "c", fr: "c" } },
      saveIntake: {
        programme: "MES",
        cycle: "2027",
        intakeId: null,
        version: null,
        intake: {
          startsOn: "2028-02-01",
          places: 1,
          quotas: [],
          options: { campuses: [], languages: [], modes: [], tracks: [] },
        },
      },
      saveProcedure: {
        key: "p",
        title: { en: "p", fr: "p" },
        rules: { least: 1, most: 1, limits: [], exclusive: [], ranked: false },
      },
      saveProgramme: {
        procedure: "taught",
        version: null,
        programme: { ...(PROGRAMMES[0]?.programme ?? {}), code: "NEW" },
      },
      chooseLanguage: { locale: "fr" },
      claimMessage: { messageId: randomUUID() },
      remindOpenings: {},
      answerSearch: { words: "seaweed", code: null },
      noteEmptySearch: { words: "seaweed" },
      tellMissing: { applicationId },
      takeBackLine: { applicationId, scope: "file", section: "courses", entry: "added" },
      confirmValues: { applicationId, values: [{ scope: "file", section: "person", field: "birthDate" }] },
      copyCycle: { from: "2027", years: 1, programmes: ["MES"] },
      askMoreTime: { until: "2027-03-01" },
      saveReference: { known: "", rating: "good", text: "So far." },
      askReferenceAgain: { applicationId, requestId },
      correctReferee: { applicationId, requestId, name: "A", email: "a@b.example", reason: "They called." },
      endReference: { applicationId, requestId, reason: "Silent." },
      extendReference: { applicationId, requestId, until: "2027-03-01" },
      remindReferee: { applicationId, requestId },
      sendReferenceAgain: { applicationId, requestId },
      takeReference: { applicationId, requestId, cameOn: "2026-11-24", letter: file },
      declineReference: {},
      dropDecision: { applicationId, choiceId },
      excuseRequirement: { ...place, reason: "test" },
      orderOwnCopy: { number, documents: false, locale: "en" },
      orderCopies: { applicationIds: [applicationId], reader: "office", documents: false },
      reportCopy: { orderId: applicationId, applicationId, bytes: null },
      eraseCopies: {},
      giveBack: { applicationId, chargeId: randomUUID(), minor: 1, note: "test" },
      grantAdjustment: { applicationId, what: "test", why: "test" },
      endAdjustment: { applicationId, adjustmentId: randomUUID() },
      addTask: { applicationId, title: "test", due: "2026-12-10" },
      finishTask: { applicationId, taskId: randomUUID(), outcome: "test" },
      dropTask: { applicationId, taskId: randomUUID() },
      doDeed: { ...place, note: "test" },
      undoDeed: place,
      ruleOnCase: {
        applicationId,
        question: "q",
        scope: "file",
        section: "education",
        entry: "",
        verdict: "accepted",
        reason: "test",
      },
      endCaseRuling: { applicationId, question: "q", scope: "file", section: "education", entry: "" },
      endRuling: { rulingId: "00000000-0000-4000-8000-000000000000", reason: "test" },
      overrideFinding: { applicationId, choiceId, rule: "grade", finding: "met", reason: "test" },
      endOverride: { applicationId, choiceId, rule: "grade", reason: "test" },
      countGuess: { guessIds: [] },
      forgetGuess: { guessIds: [] },
      clearAway: {},
      answerErasure: { requestId: applicationId },
      askErasure: {},
      keepMe: {},
      letBackIn: { personId: owner.id },
      noteReading: { readings: [{ kind: "file opened", file: number }] },
      noteSignIn: { email: "a@b.example", kind: "signed in" },
      notePasskey: { email: "nobody@people.example", kind: "passkey added", key: "A key" },
      spendCode: { accountId: "a", code: "123456" },
      giveReference: { answers: { known: "Long", rating: "good", text: "A reference that is long enough." } },
      askRegistry: { applicationId, scope: "file", section: "sittings", entry: "x" },
      claimRegistryQuery: { queryId: randomUUID() },
      reportRegistry: { queryId: randomUUID(), answer: { kind: "down" } },
      takeRegistryResults: { applicationId, queryId: randomUUID() },
      leaveRegistryResults: { applicationId, queryId: randomUUID() },
      askRegistriesAgain: {},
      keepRegistryRecord: { board: "northern", year: "2025", candidate: "1", name: "A", results: [] },
      setRegistryMode: { down: false, delayMs: 0 },
      joinAccounts: { applicationId, otherNumber: "27-99999", keep: "this", reason: "One person" },
      partAccounts: { applicationId, reason: "Two people" },
      judgeSamePerson: { applicationId, otherNumber: "27-99999", verdict: "different" },
      leaveOutPage: { applicationId, uploadId: randomUUID(), page: 1, out: true },
      writeSummary: { applicationId, scope: "file", section: "person", text: "In short" },
      matchResults: { applicationId },
      settleOwnerResult: { applicationId, resultId: randomUUID(), theirs: true },
      takeOwnerList: {
        test: "het",
        fileName: "het.csv",
        text: "number,name,date,L,R,W,S\n1,Ada Vale,2026-10-03,40,40,40,40",
      },
      askEarlyRuling: { applicationId, question: "exemption", scope: "file", section: "english", entry: "" },
      compareStatements: { applicationId },
      judgeLikeness: { applicationId, statementId: randomUUID(), otherId: randomUUID(), verdict: "harmless" },
      linkInstitution: { institutionId, written: "Halden Sound Uni", country: "SR" },
      mergeInstitutions: {
        keepId: institutionId,
        doubleId: await one("select id from institution order by name desc"),
      },
      moveChoice: { applicationId, choiceId, campus: "vell", mode: null, track: null, reason: "test" },
      takeRegister: { institutions: [newPlace] },
      saveInstitution: { institutionId: null, version: null, institution: newPlace },
      unlinkInstitution: { nameId: await one("select id from institution_name where kind = 'written'") },
      keepTrayMail: { messageId: randomUUID(), toAddress: "a@b.example", subject: "x", body: "x" },
      loadReferenceSet: referenceSet,
      askReferencePreview: {},
      draftReferenceSet: {},
      dropReferenceDraft: {},
      editReferenceSet: { edit: 1, body: referenceSet },
      publishReferenceSet: { edit: 1, note: "as decided" },
      makeStaff: { name: "New", email: "new@merrow.example", role: "officer" },
      openAccount: { name: "New", email: "n@b.example", locale: "en", consentVersion: "1" },
      openReference: {},
      prepareDecision: { applicationId, choiceId, kind: "refusal", reason: "test" },
      publishRulebook: { intakeId, body: mes },
      passOverFiles: {},
      reassessFiles: { applicationIds: [applicationId] },
      setFileAside: { applicationId, error: { name: "Error", message: "" } },
      tryFileAgain: { applicationId },
      recordPayment: { paymentId: randomUUID(), providerKey: "k", result: "booked" },
      releaseDecision: { applicationId, choiceId },
      releaseStuckMessages: {},
      tryMailAgain: { messageId: null },
      remindDrafts: {},
      eraseDrafts: {},
      removeDocument: { applicationId, evidenceId: await one("select id from evidence") },
      reportMessage: { messageId: randomUUID(), attempt: 1, result: "sent" },
      requestReference: { applicationId, referee: ids.referee },
      refuseCorrection: { applicationId, reason: "test" },
      requestCorrection: { applicationId, sections: [{ scope: "file", section: "person" }], text: "test" },
      reopenSections: {
        applicationId,
        sections: [{ scope: "file", section: "person" }],
        reason: "test",
        due: "2026-12-10",
      },
      sendCorrections: { applicationId, true: true },
      readCorrections: { applicationId },
      endReopening: { applicationId },
      returnEvidence: { ...place, reason: "unreadable", due: "2026-12-10" },
      saveAnswers: {
        applicationId,
        changes: [{ scope: "file", section: "person", entry: "", field: "birthPlace", value: "X", seen: 9 }],
      },
      sendLink: { email: "a@b.example", purpose: "set password" },
      startApplication: { roundId },
      startPayment: { applicationId, chargeId: await one("select id from charge") },
      storeTemplate: { name: "form.pdf", bytes, mediaType: "application/pdf", marks: [] },
      submitApplication: { applicationId, choiceIds: [choiceId] },
      takeFile: { applicationId, mine: true },
      remindApplicant: { applicationId },
      addNote: { applicationId, text: "Look again" },
      dropNote: { applicationId, noteId: randomUUID() },
      markFile: { applicationId, mark: "boat" },
      unmarkFile: { applicationId, mark: "boat" },
      lookIn: { applicationId },
      nextCheck: { requirement: "passport", passed: [] },
      leaveChecks: { requirement: "passport" },
      leaveForLater: { requirement: "passport", applicationId },
      takeUpLater: { requirement: "passport" },
      writeToApplicant: { applicationId, text: "Good morning" },
      takeMessageBack: { applicationId, messageId: randomUUID() },
      settleMessages: { applicationId },
      writeToOffice: { applicationId, text: "Good morning" },
      readConversation: { applicationId },
      saveText: { textId: null, version: null, name: "Thanks", en: "Thank you.", fr: "Merci.", uses: ["message"] },
      dropText: { textId: randomUUID() },
      assignFile: { applicationId },
      assignArrived: { applicationId },
      saveAssigning: { version: 0, rules: [] },
      noteAbsence: { personId: applicationId, coverId: ids.referee, from: "2026-12-01", until: "2026-12-02" },
      dropAbsence: { absenceId: applicationId },
      handFile: { applicationId, officerId: null },
      keepList: { name: "Ours", query: "turn=office", shared: false },
      dropList: { listId: randomUUID() },
      tieAccount: { personId: owner.id, accountId: "x" },
      undoJudgement: place,
      uploadDocument: { ...place, ...file },
      supplyForApplicant: { ...place, ...file },
      withdraw: { applicationId },
      withdrawReference: { applicationId, requestId },
    };
    seen = {
      applyOffer: { roundId },
      askedFor: {
        code: "MES",
        start: await one(
          "select starts_on::text as id from intake i join programme p on p.id = i.programme_id where p.code = 'MES'",
        ),
      },
      rulebookPage: { rulebookId: draftId },
      rulebooks: {},
      institutionPage: { institutionId },
      institutions: {},
      institutionSuggestions: { typed: "Halden Sound" },
      awaited: {},
      copies: {},
      linkCopy: { sha256: "0".repeat(64) },
      copiesOfFile: { number },
      readyCopies: { orderId: applicationId },
      post: {},
      closedToMe: {},
      scalesInUse: { country: "PT" },
      recurringQuestions: {},
      paperFile: { number },
      papers: {},
      references: {},
      postTable: {},
      drafts: {},
      fileMessages: { number },
      fileAt: { number },
      mailIn: {},
      mailWording: { template: "submitted", number: "" },
      returnReasons: {},
      mailWordings: {},
      incomingDocument: { mailId: waitingMail, no: 0 },
      elsewhere: { number, choiceId },
      knownNames: { names: [] },
      registerTable: {},
      rulings: {},
      standards: {},
      selfCheck: { code: "MES" },
      document: { uploadId },
      uploadPlace: { applicationId },
      sending: {
        id: await one(
          `insert into sending (id, person_id, name, size, at) values ('on its way', '${owner.id}', 'a.pdf', 10, now()) returning id`,
        ),
      },
      joinSources: { applicationId, evidenceIds: [await one("select id from evidence limit 1")] },
      clocks: {},
      decisionTimes: { code: "MES" },
      figures: {},
      file: { number },
      whatIf: { number },
      resultsFile: { reading: async () => "busy" as const },
      finder: {},
      formPreview: { rulebookId: draftId },
      linkPurpose: { token: "x".repeat(43) },
      myApplication: { number },
      myApplications: {},
      myMessages: {},
      nextCycle: {},
      otherScales: { institutionId },
      ownerListLook: { test: "het", text: "a,b" },
      ownerLists: {},
      peek: { number },
      plans: {},
      referencePage: {},
      signaturePage: {},
      sites: { code: "MTE" },
      sharedParts: {},
      access: {},
      accessTable: {},
      erasures: {},
      ownData: {},
      money: {},
      confided: {},
      quickFind: { words: "any" },
      turnFacets: {},
      namedLists: {},
      assigningPage: {},
      checkKinds: {},
      checkRunOf: { requirement: "passport" },
      fileNotes: { number },
      fileConversation: { number },
      myConversation: { number },
      officeTexts: {},
      manyChoices: { ids: [applicationId] },
      pageCounts: {},
      joinedInto: {},
      ownErasure: {},
      staff: {},
      troubledFiles: {},
      waitingMail: {},
      statementComparison: { number, otherId: randomUUID() },
      writerLikeness: { applicationId, scope: "file", section: "person", field: "givenName", text: "Ada" },
      submissions: { number },
      template: { sha256: await one("select sha256 as id from template") },
      tray: {},
      turnContacts: {},
      turns: {},
    };
  });
  afterAll(() => world.close());

  it.each(Object.keys(MAY) as (keyof typeof ACTS)[])(
    "%s may be done by those in the table and by nobody else",
    async (name) => {
      const act = ACTS[name] as Act<z.ZodType, unknown>;
      const allowed: RoleName[] = [];
      for (const role of ROLES) {
        const outcome = await runAct(dry(world.runtime), act, actors[role], inputs[name]);
        expect([name, role, outcome.ok ? "ok" : outcome.reason]).not.toEqual([name, role, "invalid-input"]);
        if (outcome.ok || outcome.reason !== "not-yours") allowed.push(role);
      }
      expect(allowed).toEqual(ROLES.filter((role) => MAY[name].includes(role)));
    },
  );

  it.each(Object.keys(SEES) as (keyof typeof VIEWS)[])(
    "%s is seen by those in the table and by nobody else",
    async (name) => {
      const view = VIEWS[name] as View<z.ZodType, unknown>;
      const allowed: RoleName[] = [];
      for (const role of ROLES)
        if ((await readView(world.runtime, view, actors[role], seen[name])) !== null) allowed.push(role);
      expect(allowed).toEqual(ROLES.filter((role) => SEES[name].includes(role)));
    },
  );

  it("an officer of another programme finds none of this one's files in the list", async () => {
    const rows = async (role: RoleName) => (await readView(world.runtime, VIEWS.turns, actors[role], {}))?.rows.length;
    expect([await rows("officer"), await rows("officer elsewhere")]).toEqual([1, 0]);
  });

  it("an act that was refused leaves nothing behind", async () => {
    const count = async () =>
      (
        await world.runtime.pool.query<{ n: number }>(
          "select (select count(*) from event) + (select count(*) from message) + (select count(*) from decision) as n",
        )
      ).rows[0]?.n;
    const before = await count();
    await runAct(world.runtime, ACTS.prepareDecision, actors.officer, inputs.prepareDecision as never);
    await runAct(world.runtime, ACTS.withdraw, actors["other applicant"], inputs.withdraw as never);
    expect(await count()).toBe(before);
  });
});
