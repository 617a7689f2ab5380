import type { Runtime } from "../acts/act/act";
import { answerAsk } from "../acts/asks/answers";
import { sendAskList } from "../acts/asks/ask-list";
import { inspectPaper, notePaper } from "../acts/post/papers";
import type { RequirementPlace } from "../core/file/place";
import type { Actor } from "../core/rights/actor";
import { act } from "./applicant";
import type { Moment } from "./story";

/** What the office asks for in one mail, and what is answered of it in words. */
export async function askFor(
  { runtime, applicationId, officer }: { runtime: Runtime; applicationId: string; officer: Actor },
  { items = [], questions = [], words = "" }: Extract<Moment, { do: "ask for" }>,
  due: string,
): Promise<void> {
  const place = (requirement: string) => ({ requirement, scope: "file", entry: "" });
  await act(runtime, sendAskList, officer, {
    applicationId,
    items: [
      ...items.map(({ which, text }) => ({ ...place(which), wants: "evidence" as const, text })),
      ...questions.map((text) => ({ ...place(""), wants: "words" as const, text })),
    ],
    words,
    due,
  });
}

/** Answers the first question that is open. */
export async function answerQuestion(
  runtime: Runtime,
  applicant: Actor,
  applicationId: string,
  text: string,
): Promise<void> {
  const { rows } = await runtime.pool.query<{ id: string }>(
    "select id from ask where application_id = $1 and wants = 'words' and answered_at is null order by position limit 1",
    [applicationId],
  );
  await act(runtime, answerAsk, applicant, { applicationId, askId: rows[0]?.id ?? "", text });
}

/** Notes that a paper came today, and what became of it. */
export async function paperCame(
  { runtime, applicationId, officer }: { runtime: Runtime; applicationId: string; officer: Actor },
  place: RequirementPlace,
  { sender = "", became }: Extract<Moment, { do: "paper came" }>,
): Promise<void> {
  const cameOn = runtime.now().toISOString().slice(0, 10);
  const { paperId } = await act(runtime, notePaper, officer, { ...place, applicationId, sender, cameOn });
  if (became) await act(runtime, inspectPaper, officer, { applicationId, paperId, sendBack: became === "goes back" });
}
