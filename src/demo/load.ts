import type { Runtime } from "../acts/act/act";
import { reopenSections, sendCorrections } from "../acts/application/reopen-sections";
import { startApplication } from "../acts/application/start-application";
import { submitApplication } from "../acts/application/submit-application";
import { giveUndertaking } from "../acts/application/undertaking";
import { withdraw } from "../acts/application/withdraw";
import { grantAdjustment } from "../acts/assessment/adjustments";
import { overrideFinding } from "../acts/assessment/override-finding";
import { takeFile } from "../acts/assessment/take-file";
import { addTask } from "../acts/assessment/tasks";
import { writeToApplicant, writeToOffice } from "../acts/conversation/conversation";
import { answerDecision, prepareDecision, releaseDecision } from "../acts/decision/decisions";
import { confirmValues } from "../acts/evidence/confirm-values";
import { acceptEvidence, returnEvidence } from "../acts/evidence/judge-evidence";
import { recordPayment, startPayment } from "../acts/payments/payments";
import { announcePaper, noteStrayPaper } from "../acts/post/papers";
import { requestReference } from "../acts/references/request-reference";
import { ruleOnCase } from "../acts/rulings/rulings";
import { orderOf } from "../core/catalogue/choice-rules";
import type { Json } from "../core/file/facts";
import type { Actor } from "../core/rights/actor";
import { formatDay, parseDay } from "../core/time/day";
import { loadFile } from "../db/queries/load-file";
import { act, type Filled, fillForm, formOf, saveForm, supply } from "./applicant";
import { answerQuestion, askFor, paperCame } from "./asking";
import { momentFrom } from "./catalogue";
import { acceptAll, confirmAll } from "./checking";
import * as documents from "./documents";
import { fillAny } from "./filling";
import { mailUs, refereeDoes } from "./from-outside";
import type { Profile } from "./profile";
import { askRegistries, correctRegistry } from "./registries";
import type { Moment, Story } from "./story";
import { entriesOf, supplyAny } from "./supplying";

/**
 * Plays a story: the demo's files are made only by running acts, each at its own moment, with due mail sent in between.
 * Nothing else inserts a file, so their histories read like real ones.
 */
export interface Stage {
  readonly runtime: Runtime;
  /** Moves the clock. */
  readonly moveTo: (instant: Date) => void;
  /** Sends what is due and assesses what has aged. */
  readonly drain: () => Promise<void>;
  /** The registry of examinations answers what it was asked. */
  readonly askRegistry: (queryId: string) => Promise<void>;
  readonly anchor: string;
  readonly roundId: string;
  /** Rounds by programme and key. */
  readonly rounds: Readonly<Record<string, string>>;
  readonly staff: Readonly<Record<"officer" | "second" | "lead", Actor>>;
  readonly applicantFor: (profile: Profile) => Promise<Actor>;
  /** Looks at a file after each moment of its story. */
  readonly after?: ((story: Story, moment: Moment, applicationId: string) => Promise<void>) | undefined;
}

interface Play {
  readonly stage: Stage;
  readonly profile: Profile;
  readonly actor: Actor;
  applicationId: string;
  choiceId: string;
  filled: Filled;
}

const DOCUMENTS = ["passport", "certificate", "transcript", "motivation", "english"] as const;
const PER_DEGREE = new Set(["certificate", "transcript"]);
const SYSTEM: Actor = { kind: "system" };

type Paper = (typeof DOCUMENTS)[number] | "permit";

/** Whoever lives where they are no citizen has a permit beside the passport. */
const withPermit = <P extends string>({ profile }: Play, which: readonly P[]): readonly (P | "permit")[] =>
  which.flatMap((paper) =>
    paper === "passport" && !profile.citizenships.includes(profile.residence) ? [paper, "permit" as const] : [paper],
  );

function bytesOf(play: Play, requirement: Paper, incomplete: boolean): Promise<Buffer> {
  const madeOn = play.stage.runtime.now();
  switch (requirement) {
    case "passport":
      return documents.passport(play.profile, madeOn);
    case "permit":
      return documents.permit(play.profile, madeOn);
    case "certificate":
      return documents.certificate(play.profile, madeOn);
    case "transcript":
      return documents.transcript(play.profile, madeOn, incomplete);
    case "motivation":
      return documents.motivation(play.profile, madeOn);
    case "english":
      return documents.englishProof(play.profile, madeOn);
  }
}

const placeOf = (play: Play, requirement: string) => ({
  applicationId: play.applicationId,
  requirement,
  scope: "file",
  entry: PER_DEGREE.has(requirement) ? play.filled.degree : "",
});

async function supplyAll(
  play: Play,
  { which = DOCUMENTS, incomplete = false, bundled = false }: Extract<Moment, { do: "supply" }>,
): Promise<void> {
  const printed = (requirement: Paper) => bytesOf(play, requirement, incomplete);
  for (const requirement of withPermit(play, which)) {
    const { entry } = placeOf(play, requirement);
    await supply(
      play.stage.runtime,
      play.actor,
      play.applicationId,
      requirement,
      entry,
      `${requirement}.pdf`,
      bundled && requirement === "certificate"
        ? await documents.bundle(await printed("certificate"), await printed("transcript"))
        : await printed(requirement),
    );
  }
}

async function payFee(play: Play, result: "booked" | "declined"): Promise<void> {
  const { runtime } = play.stage;
  const loaded = await loadFile(runtime.pool, play.applicationId);
  for (const charge of loaded?.facts.charges ?? []) {
    if (charge.minor <= charge.paidMinor) continue;
    const { paymentId } = await act(runtime, startPayment, play.actor, {
      applicationId: play.applicationId,
      chargeId: charge.id,
    });
    await act(runtime, recordPayment, SYSTEM, { paymentId, providerKey: `demo-${paymentId}`, result });
  }
}

/** Submits every choice that is still in preparation. */
async function submitAll({ stage, actor, applicationId }: Play): Promise<void> {
  const loaded = await loadFile(stage.runtime.pool, applicationId);
  const open = (loaded?.facts.choices ?? []).filter((c) => c.submittedAt === null && c.withdrawnAt === null);
  const order = orderOf(loaded?.facts.choices ?? []).map((c) => c.id);
  if (order.length > 1 && order.length === open.length)
    await act(stage.runtime, giveUndertaking, actor, { applicationId, order, locale: "en" });
  await act(stage.runtime, submitApplication, actor, { applicationId, choiceIds: open.map((c) => c.id) });
}

/** Changes answers in the opened sections, and sends them. */
async function correct(play: Play, changes: Readonly<Record<string, Json>>): Promise<void> {
  const { stage, actor, applicationId } = play;
  const loaded = await loadFile(stage.runtime.pool, applicationId);
  const wanted = Object.entries(changes).map(([place, value]) => {
    const [section = "", field = ""] = place.split(".");
    const known = loaded?.facts.answers.find((a) => a.section === section && a.field === field);
    return { scope: "file", section, entry: known?.entry ?? "", field, value, seen: known?.version ?? 0 };
  });
  await saveForm(stage.runtime, actor, applicationId, wanted);
  await act(stage.runtime, sendCorrections, actor, { applicationId, true: true });
}

/** Most of the demo's rounds are still open when its decisions are prepared. */
const EARLY =
  "Agreed with the head of the programme: clearly above what is asked, and no reason to wait for the closing.";

async function decide(play: Play, moment: Extract<Moment, { do: "decide" }>): Promise<void> {
  const { runtime, staff } = play.stage;
  const target = { applicationId: play.applicationId, choiceId: play.choiceId };
  await act(runtime, prepareDecision, staff.officer, {
    ...target,
    kind: moment.kind,
    reason: moment.reason ?? null,
    note: EARLY,
  });
  if (moment.release) await act(runtime, releaseDecision, staff.lead, target);
}

function dayAfter(play: Play, days: number): string {
  return formatDay((parseDay(play.stage.runtime.now().toISOString().slice(0, 10)) ?? 0) + days);
}

const asking = ({ stage: { runtime, staff, askRegistry: answer }, applicationId }: Play) => ({
  runtime,
  applicationId,
  officer: staff.officer,
  answer,
});

async function perform(play: Play, moment: Moment): Promise<void> {
  const { runtime, staff } = play.stage;
  const { applicationId, choiceId } = play;
  switch (moment.do) {
    case "fill":
      play.filled = await fillForm(runtime, play.actor, applicationId, play.profile);
      return;
    case "fill some": {
      const { sections } = formOf(play.profile);
      for (const section of sections.slice(0, moment.sections))
        await saveForm(runtime, play.actor, applicationId, section);
      return;
    }
    case "fill any":
      return fillAny(runtime, play.actor, applicationId, play.profile, moment.told ?? {}, moment.entries ?? {});
    case "supply any":
      return supplyAny(runtime, play.actor, applicationId, play.profile);
    case "accept any":
      return acceptAll(asking(play));
    case "supply":
      return supplyAll(play, moment);
    case "ask referee":
      await act(runtime, requestReference, play.actor, { applicationId, referee: play.filled.referee });
      return;
    case "reference given":
    case "reference declined":
    case "reference takes longer":
      return refereeDoes(runtime, applicationId, play.profile, moment);
    case "pay":
      return payFee(play, moment.result ?? "booked");
    case "submit":
      return submitAll(play);
    case "add choice":
      await act(runtime, startApplication, play.actor, { roundId: play.stage.rounds[moment.round] ?? "" });
      return;
    case "reopen":
      await act(runtime, reopenSections, staff.officer, {
        applicationId,
        sections: moment.sections.map((section) => ({ scope: "file", section })),
        reason: moment.text,
        due: dayAfter(play, moment.days),
      });
      return;
    case "adjust":
      await act(runtime, grantAdjustment, staff.second, { applicationId, what: moment.what, why: moment.why });
      return;
    case "task":
      await act(runtime, addTask, staff.officer, {
        applicationId,
        section: moment.section,
        title: moment.title,
        due: dayAfter(play, moment.days),
      });
      return;
    case "correct":
      return correct(play, moment.changes);
    case "take":
      await act(runtime, takeFile, staff[moment.by], { applicationId, mine: true });
      return;
    case "accept":
      for (const requirement of withPermit(play, moment.which))
        await act(runtime, acceptEvidence, staff.officer, {
          ...placeOf(play, requirement),
          proof: moment.proof ?? "copy",
        });
      return;
    case "send back":
      await act(runtime, returnEvidence, staff.officer, {
        ...placeOf(play, moment.which),
        reason: moment.reason,
        text: moment.text,
        due: dayAfter(play, moment.days),
      });
      return;
    case "confirm":
      return confirmAll(asking(play), moment.changed ?? {});
    case "establish":
      await act(runtime, confirmValues, staff.officer, {
        applicationId,
        values: Object.entries(moment.values).map(([place, value]) => {
          const [section = "", field = ""] = place.split(".");
          return { scope: "file", section, entry: "", field, value };
        }),
        note: "As it stands on the document",
      });
      return;
    case "decide":
      return decide(play, moment);
    case "override": {
      const { rule, finding, reason } = moment;
      await act(runtime, overrideFinding, staff.lead, { applicationId, choiceId, rule, finding, reason });
      return;
    }
    case "rule": {
      const { question, section, verdict, reason, equalTo = null, limits = null } = moment;
      const [entry = ""] = await entriesOf(runtime, applicationId, section);
      await act(runtime, ruleOnCase, staff.officer, {
        applicationId,
        question,
        scope: "file",
        section,
        entry,
        verdict,
        reason,
        equalTo,
        limits,
      });
      return;
    }
    case "ask for":
      return askFor(asking(play), moment, dayAfter(play, moment.days));
    case "answer question":
      return answerQuestion(runtime, play.actor, applicationId, moment.text);
    case "announce paper":
      await act(runtime, announcePaper, play.actor, {
        ...placeOf(play, moment.which),
        way: "post",
        expectedOn: dayAfter(play, moment.days),
      });
      return;
    case "paper came":
      return paperCame(asking(play), placeOf(play, moment.which), moment);
    case "stray paper":
      await act(runtime, noteStrayPaper, staff.officer, { ...moment, cameOn: dayAfter(play, 0) });
      return;
    case "write us":
      await act(runtime, writeToOffice, play.actor, { applicationId, text: moment.text, about: moment.about ?? "" });
      return;
    case "write back":
      await act(runtime, writeToApplicant, staff.officer, {
        applicationId,
        text: moment.text,
        question: moment.question ?? "",
      });
      return;
    case "mail us":
      return mailUs({ runtime, applicationId, email: play.profile.email }, moment, () =>
        documents.passport(play.profile, runtime.now()),
      );
    case "ask registries":
      return askRegistries(asking(play));
    case "registry corrects":
      return correctRegistry(asking(play), moment);
    case "answer":
      await act(runtime, answerDecision, play.actor, { applicationId, choiceId, answer: moment.answer });
      return;
    case "withdraw":
      await act(runtime, withdraw, play.actor, { applicationId });
      return;
  }
}

/** Plays one story from its first moment to its last. */
export async function playStory(stage: Stage, story: Story): Promise<string> {
  const at = (moment: Moment) => new Date(momentFrom(stage.anchor, moment.day, moment.at ?? "10:30"));
  const [first] = story.moments;
  stage.moveTo(first ? at(first) : new Date(momentFrom(stage.anchor, -30)));
  const actor = await stage.applicantFor(story.profile);
  const { applicationId, number } = await act(stage.runtime, startApplication, actor, {
    roundId: story.round === undefined ? stage.roundId : (stage.rounds[story.round] ?? ""),
    track: story.track ?? null,
  });
  const { rows } = await stage.runtime.pool.query<{ id: string }>("select id from choice where application_id = $1", [
    applicationId,
  ]);
  const play: Play = {
    stage,
    profile: story.profile,
    actor,
    applicationId,
    choiceId: rows[0]?.id ?? "",
    filled: { degree: "", referee: "" },
  };
  for (const moment of story.moments) {
    stage.moveTo(at(moment));
    await perform(play, moment);
    stage.moveTo(new Date(at(moment).getTime() + 60_000));
    await stage.drain();
    await stage.after?.(story, moment, applicationId);
  }
  return number;
}
