import { type Runtime, runAct } from "../acts/act/act";
import { eraseDrafts } from "../acts/application/erase-drafts";
import { remindDrafts } from "../acts/application/remind-drafts";
import { remindAsked } from "../acts/asks/remind-asks";
import { passOverFiles, reassessFiles, setFileAside } from "../acts/assessment/reassess";
import { announceOpenings } from "../acts/catalogue/interest";
import { remindOpenings } from "../acts/catalogue/remind-openings";
import { eraseCopies } from "../acts/copies/copies";
import { claimMessage, releaseStuckMessages, reportMessage } from "../acts/mail/messages";
import { clearAway } from "../acts/people/clear-away";
import { remindReferee } from "../acts/references/chase-reference";
import { matchResults } from "../acts/results/owner-lists";
import { claimRegistryQuery, reportRegistry } from "../acts/results/registry";
import { askRegistriesAgain } from "../acts/results/registry-again";
import { reportPreview } from "../acts/rulebook/previews";
import { compareStatements } from "../acts/statements/likeness";
import { assignArrived } from "../acts/turns/assigning";
import type { Locale } from "../core/text/local-text";
import { describeDefect, isOutage } from "../db/defects";
import { JOBS, type JobName, type JobPayload } from "../db/queue";
import type { Workshop } from "../formats/workshop/workshop";
import type { MailResult, MailService } from "../outside/mail";
import type { Mailbox } from "../outside/mailbox";
import type { ExaminationRegistry } from "../outside/registry";
import { renderMail } from "../text/words/render-mail";
import { filesToRemind } from "../views/asks/due-asks";
import { agedFiles } from "../views/assessment/aged-files";
import { dueMessages } from "../views/mail/due-messages";
import { requestsToRemind } from "../views/references/due-requests";
import { filesOfList } from "../views/results/result-work";
import { type PreviewBatch, previewBatch } from "../views/rulebook/preview-work";
import { makeCopies } from "./copies";
import { fetchMail } from "./fetch-mail";

/** What the handlers need: the runtime of the acts, and the ports to outside services. */
export interface JobContext {
  readonly runtime: Runtime;
  readonly mail: MailService;
  /** Left out where nobody answers by mail. */
  readonly mailbox?: Mailbox | null;
  readonly registry: ExaminationRegistry;
  readonly baseUrl: string;
  readonly workshop: Pick<Workshop, "run">;
}

const SYSTEM = { kind: "system" } as const;
const BATCH = 200;
/** Files are asked for many at a time, because each search for them looks at all. */
const ASKED = 10_000;
/** While the database reads the files of one lane, those of the other are assessed. */
const LANES = 2;

/** Sends one mail: claims it, calls the mail service outside any transaction, and reports how it went. */
async function sendMessage(
  { runtime, mail, baseUrl }: JobContext,
  { messageId }: JobPayload<"send-message">,
): Promise<MailResult["result"] | null> {
  const claimed = await runAct(runtime, claimMessage, SYSTEM, { messageId });
  if (!claimed.ok || !claimed.value) return null;
  const { toAddress, template, values, attempts, words } = claimed.value;
  const locale = claimed.value.locale as Locale; // written by ourselves from a checked locale
  const rendered = renderMail(locale, template, values, baseUrl, words?.[locale] ?? null);
  const outcome = await mail.send({ messageId, to: toAddress, ...rendered });
  await runAct(runtime, reportMessage, SYSTEM, {
    messageId,
    attempt: attempts,
    result: outcome.result,
    failure: outcome.result === "sent" ? null : outcome.failure,
  });
  return outcome.result;
}

/** So many that fail one after the other mean that the server is away: the rest waits for its next minute. */
const FAILING_TOGETHER = 3;

/** Sends whatever is due and was missed: a worker may have been killed between the act and the job. */
async function sweepMessages(ctx: JobContext): Promise<void> {
  await runAct(ctx.runtime, releaseStuckMessages, SYSTEM, {});
  let failing = 0;
  for (const messageId of await dueMessages(ctx.runtime.pool, ctx.runtime.now())) {
    failing = (await sendMessage(ctx, { messageId })) === "failed" ? failing + 1 : 0;
    if (failing >= FAILING_TOGETHER) return;
  }
}

/** Assesses some files together. Where one of them cannot be, it is found by halves and set aside, and the others go on. */
async function reassessTogether(runtime: Runtime, applicationIds: readonly string[]): Promise<void> {
  try {
    await runAct(runtime, reassessFiles, SYSTEM, { applicationIds: [...applicationIds] });
  } catch (error) {
    if (isOutage(error)) throw error;
    const [only] = applicationIds;
    if (applicationIds.length === 1 && only) {
      const { name, message } = describeDefect(error);
      await runAct(runtime, setFileAside, SYSTEM, { applicationId: only, error: { name, message } });
      return;
    }
    const half = Math.ceil(applicationIds.length / 2);
    await reassessTogether(runtime, applicationIds.slice(0, half));
    await reassessTogether(runtime, applicationIds.slice(half));
  }
}

/**
 * Assesses files again whose result time or new standards may have changed, in batches that each lock their files. Passing files over only
 * saves work: where it fails, all of them are looked at, and the job says afterwards what failed.
 */
async function reassessAged({ runtime }: JobContext): Promise<void> {
  let failure: unknown = null;
  try {
    for (;;) {
      const outcome = await runAct(runtime, passOverFiles, SYSTEM, {});
      if (!outcome.ok || outcome.value.passed === 0) break;
    }
  } catch (error) {
    if (isOutage(error)) throw error;
    failure = error;
  }
  for (;;) {
    const aged = await agedFiles(runtime.pool, runtime.now(), ASKED);
    if (aged.length === 0) break;
    const lane = async (first: number) => {
      for (let i = first * BATCH; i < aged.length; i += LANES * BATCH)
        await reassessTogether(runtime, aged.slice(i, i + BATCH));
    };
    // Each lane ends before more are asked for, also where the other fails.
    const ended = await Promise.allSettled(Array.from({ length: LANES }, (_, i) => lane(i)));
    for (const end of ended) if (end.status === "rejected") throw end.reason;
  }
  if (failure !== null) throw failure;
}

/** Erases drafts that the office no longer keeps, some at a time, until none is left. */
async function eraseAbandoned({ runtime }: JobContext): Promise<void> {
  for (;;) {
    const outcome = await runAct(runtime, eraseDrafts, SYSTEM, {});
    if (!outcome.ok || outcome.value.erased === 0) return;
  }
}

/** Reminds applicants of what they were asked for: file after file, each in a transaction of its own. */
async function remindOfAsks({ runtime }: JobContext): Promise<void> {
  for (const applicationId of await filesToRemind(runtime.pool, runtime.now()))
    await runAct(runtime, remindAsked, SYSTEM, { applicationId });
}

/** Reminds referees who have not answered: request after request, each in a transaction of its own. */
async function remindReferees({ runtime }: JobContext): Promise<void> {
  for (const request of await requestsToRemind(runtime.pool, runtime.now()))
    await runAct(runtime, remindReferee, SYSTEM, request);
}

/** Asks the registry of examinations. While it is down the file says so, and the queue asks again by itself. */
async function askRegistry({ runtime, registry }: JobContext, { queryId }: JobPayload<"ask-registry">): Promise<void> {
  const claimed = await runAct(runtime, claimRegistryQuery, SYSTEM, { queryId });
  if (!claimed.ok || !claimed.value) return;
  try {
    const found = await registry.lookUp(claimed.value);
    const since = found.since ?? null;
    const answer = found.found
      ? { kind: "found" as const, since, name: found.name, results: [...found.results], others: [...found.others] }
      : { kind: "not found" as const, since };
    await runAct(runtime, reportRegistry, SYSTEM, { queryId, answer });
  } catch (error) {
    await runAct(runtime, reportRegistry, SYSTEM, { queryId, answer: { kind: "down" } });
    throw error;
  }
}

/** Works out what a draft would change, batch by batch; each batch reports, so the page shows how far it is. */
async function workOutPreview({ runtime }: JobContext, { previewId }: JobPayload<"preview">): Promise<void> {
  let after: string | null = null;
  do {
    const batch: PreviewBatch | null = await previewBatch(runtime.pool, previewId, after, runtime.now());
    if (!batch) return;
    const { looked, effects } = batch;
    after = batch.after;
    await runAct(runtime, reportPreview, SYSTEM, { previewId, looked, effects, finished: after === null });
  } while (after !== null);
}

/** Finds the claims to which the results of a list belong, or those of one file that was just submitted. */
async function matchOwnerResults({ runtime }: JobContext, payload: JobPayload<"match-results">): Promise<void> {
  const files = "listId" in payload ? await filesOfList(runtime.pool, payload.listId) : [payload.applicationId];
  for (const applicationId of files) await runAct(runtime, matchResults, SYSTEM, { applicationId });
}

/** Runs one job: checks its payload and calls its handler. */
export async function runJob(ctx: JobContext, name: JobName, payload: unknown): Promise<void> {
  switch (name) {
    case "send-message":
      await sendMessage(ctx, JOBS["send-message"].parse(payload));
      return;
    case "sweep-messages":
      return sweepMessages(ctx);
    case "fetch-mail":
      return fetchMail(ctx);
    case "reassess-aged":
      return reassessAged(ctx);
    case "remind-drafts":
      await runAct(ctx.runtime, remindDrafts, SYSTEM, {});
      return;
    case "remind-asked":
      return remindOfAsks(ctx);
    case "remind-referees":
      return remindReferees(ctx);
    case "remind-openings":
      await runAct(ctx.runtime, remindOpenings, SYSTEM, {});
      return;
    case "erase-drafts":
      return eraseAbandoned(ctx);
    case "announce-openings":
      await runAct(ctx.runtime, announceOpenings, SYSTEM, {});
      return;
    case "ask-registries-again":
      await runAct(ctx.runtime, askRegistriesAgain, SYSTEM, {});
      return;
    case "assign-file":
      await runAct(ctx.runtime, assignArrived, SYSTEM, JOBS["assign-file"].parse(payload));
      return;
    case "ask-registry":
      return askRegistry(ctx, JOBS["ask-registry"].parse(payload));
    case "make-copies":
    case "make-copy":
      return makeCopies(ctx, JOBS[name].parse(payload).orderId);
    case "erase-copies":
      await runAct(ctx.runtime, eraseCopies, SYSTEM, {});
      return;
    case "clear-away":
      await runAct(ctx.runtime, clearAway, SYSTEM, {});
      return;
    case "match-results":
      return matchOwnerResults(ctx, JOBS["match-results"].parse(payload));
    case "compare-statements":
      await runAct(ctx.runtime, compareStatements, SYSTEM, JOBS["compare-statements"].parse(payload));
      return;
    case "preview":
      return workOutPreview(ctx, JOBS.preview.parse(payload));
  }
}
