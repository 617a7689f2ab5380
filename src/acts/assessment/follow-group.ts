import { eq } from "drizzle-orm";
import { AnswerIndex } from "../../core/answers/answer-index";
import { applicantGroup, contexts } from "../../core/assessment/context";
import type { LoadedFile } from "../../core/file/loaded-file";
import { planOf } from "../../core/rulebook/plan";
import type { Office } from "../../core/standards/reference-set";
import { loadFile } from "../../db/queries/load-file";
import { application } from "../../db/schema";
import type { ActContext } from "../act/act";
import type { OpenFile } from "../act/file-act";
import { mailApplicant } from "../mail/queue-mail";

/** The group by what is confirmed, and stated where nothing is; null where that cannot be said. */
function groupNow({ facts, rulebooks, rounds }: LoadedFile, office: Office, at: number): string | null {
  const live = facts.choices.filter((c) => c.withdrawnAt === null && c.submittedAt !== null);
  const [first] = contexts({ ...facts, choices: live }, new AnswerIndex(facts), rulebooks, rounds, office, at);
  return first ? applicantGroup(first.source, office, planOf(first.rulebook.body)) : null;
}

/**
 * The applicant group stands from the first submission on, whatever the office's rules about groups become. What the office confirms or
 * corrects, and what the applicant corrects and sends, moves it: fees and deadlines follow, the history has it, and the applicant is told.
 */
export async function followGroup(ctx: ActContext, { id: applicationId, ownerId }: OpenFile): Promise<void> {
  const file = await loadFile(ctx.client, applicationId);
  const before = file?.facts.application.groupSinceSubmission ?? null;
  if (!file || before === null) return;
  // What is typed in opened sections counts once it is sent.
  if (file.facts.reopenings.some((r) => r.answeredAt === null)) return;
  const office = await ctx.office();
  const group = groupNow(file, office, ctx.now.getTime());
  if (group === null || group === before) return;
  await ctx.db.update(application).set({ groupSinceSubmission: group }).where(eq(application.id, applicationId));
  await ctx.emit("follow-group", applicationId, { from: before, to: group });
  const title = (key: string) => office.set.groups.find((g) => g.key === key)?.title ?? { en: key, fr: key };
  const { number } = file.facts.application;
  await mailApplicant(ctx, applicationId, ownerId, "group-changed", {
    number,
    link: `/my/${number}`,
    beforeEn: title(before).en,
    beforeFr: title(before).fr,
    groupEn: title(group).en,
    groupFr: title(group).fr,
  });
}
