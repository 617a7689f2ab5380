import type { Runtime } from "../acts/act/act";
import { answerAsk } from "../acts/asks/answers";
import { sendAskList } from "../acts/asks/ask-list";
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
