"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { type RequirementPlace, readAnswerKey, requirementKey, resultKey } from "../../core/file/place";
import type { RequirementResult } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { formatMoney } from "../../text/format";
import type { FileData } from "../../views/assessment/file-data";
import { CombBar } from "../assessment/comb";
import { Findings } from "../assessment/findings";
import { DecisionPanel } from "../decision/decision-panel.client";
import { Evidence } from "../evidence/file-evidence.client";
import { OpenAsks } from "../evidence/open-asks.client";
import { ReturnForm } from "../evidence/return-form.client";
import { KeyList } from "../frame/key-list.client";
import { OUTSIDE_GRIDS } from "../frame/keys";
import { useDialogs } from "../frame/library.client";
import { Cases } from "../rulings/cases.client";
import { ValuePanel } from "./value-panel.client";

interface Props {
  readonly data: FileData;
  readonly me: { readonly id: string; readonly lead: boolean };
  readonly askDay: string;
  readonly act: ActOnFile;
}

const UNDO_MS = 10_000;
const KEYS = [
  ["j / ↓, k / ↑", "next, previous requirement"],
  ["y", "accept"],
  ["x", "send back"],
  ["q", "ask for something"],
  ["c", "confirm all values as claimed"],
  ["u", "undo, for ten seconds"],
  ["n, b", "next page, page before"],
  ["r, z", "turn, resize the page"],
  ["d", "to the decision"],
] as const;

function entryName(data: FileData, entry: string): string {
  if (entry === "") return "";
  const value = (field: string) => data.values.find((v) => v.entry === entry && v.field === field)?.claim;
  return String(value("title") ?? value("institution") ?? "");
}

/** A filled section is complete; only evidence is accepted. */
function standingWord(r: RequirementResult): string {
  if (r.kind === "deed" && r.standing === "missing") return "to do";
  if (r.standing !== "accepted") return r.standing;
  return r.kind === "sections" ? "complete" : r.kind === "fee" ? "paid" : r.kind === "deed" ? "done" : "accepted";
}

/** A second line under a requirement: what it holds at present. */
function noteOf(data: FileData, r: RequirementResult): string {
  if (r.kind === "fee") return r.amount ? formatMoney("en", r.amount) : "";
  if (r.kind === "sections") return r.gaps.length > 0 ? `${r.gaps.length} open` : "";
  if (r.kind === "reference") return data.references.find((f) => r.evidence.includes(f.id))?.name ?? "";
  const own = data.documents.filter((d) => r.evidence.includes(d.evidenceId));
  const pages = own.reduce((sum, d) => sum + d.pages, 0);
  const parts = [entryName(data, r.entry), pages > 0 ? `${pages} ${pages === 1 ? "page" : "pages"}` : ""];
  return parts.filter(Boolean).join(" · ");
}

export function FileWork({ data, me, askDay, act }: Props) {
  const router = useRouter();
  const dialogs = useDialogs();
  const requirements = data.assessment.requirements;
  const firstOpen = requirements.findIndex(
    (r) =>
      r.key === data.assessment.file.next?.requirement &&
      r.scope === data.assessment.file.next.scope &&
      r.entry === data.assessment.file.next.entry,
  );
  const deciding = firstOpen < 0 && ["rule", "decide", "release"].includes(data.assessment.file.next?.kind ?? "");
  const [at, setAt] = useState(deciding ? -1 : Math.max(0, firstOpen));
  const [form, setForm] = useState<"none" | "return" | "ask">("none");
  const [said, setSaid] = useState<string | null>(null);
  const [undoable, setUndoable] = useState<RequirementPlace | null>(null);
  const requirement = at < 0 ? undefined : requirements[at];
  const place = useMemo<RequirementPlace | null>(
    () => (requirement ? { requirement: requirement.key, scope: requirement.scope, entry: requirement.entry } : null),
    [requirement],
  );
  useEffect(() => {
    if (!undoable) return;
    const wait = setTimeout(() => setUndoable(null), UNDO_MS);
    return () => clearTimeout(wait);
  }, [undoable]);

  const after = (refused: string | null, done: string, undo: RequirementPlace | null = null) => {
    setSaid(refused ?? done);
    setUndoable(refused ? null : undo);
    if (!refused) setForm("none");
    return refused;
  };
  const choose = (index: number) => {
    setAt(Math.max(-1, Math.min(requirements.length - 1, index)));
    setForm("none");
  };
  const checkable =
    requirement !== undefined &&
    (requirement.kind === "document" || requirement.kind === "reference") &&
    requirement.evidence.length > 0 &&
    data.assessment.file.stage !== "preparing";
  const canJudge = checkable && requirement.standing === "to check";
  const canRaise =
    checkable &&
    requirement.kind === "document" &&
    requirement.standing === "accepted" &&
    requirement.owedProof !== null;
  const accept = async (proof: "copy" | "original seen" = "copy") => {
    if (!place || !requirement) return;
    const refused = after(
      await act("accept-evidence", { ...place, proof }),
      `${requirement.title.en}: accepted.`,
      place,
    );
    const following = requirements.findIndex((r, i) => i > at && r.standing === "to check");
    if (!refused && following >= 0) setAt(following);
  };
  const undo = async () => {
    if (undoable) after(await act("undo-judgement", undoable), "Taken back.");
  };
  const settle = async ({ requirement: key, scope, entry }: FileData["asks"][number]) =>
    after(await act("settle-ask", { requirement: key, scope, entry }), "Settled. Nothing more is asked here.");
  /** Beside the decision: what was asked for at a requirement that the answers no longer lead to. */
  const asks = data.asks.filter((a) =>
    requirement
      ? requirementKey(a) === resultKey(requirement)
      : !requirements.some((r) => requirementKey(a) === resultKey(r)),
  );
  const shows = requirement ? (data.shows[resultKey(requirement)] ?? []) : [];
  const confirmAll = async () => {
    if (shows.length === 0) return;
    const values = shows.map(readAnswerKey);
    after(
      await act("confirm-values", { values }),
      `${values.length} ${values.length === 1 ? "value" : "values"} confirmed.`,
    );
  };

  useHotkeys("j,down", () => choose(at + 1), { preventDefault: true, ...OUTSIDE_GRIDS }, [at, requirements]);
  useHotkeys("k,up", () => choose(at - 1), { preventDefault: true, ...OUTSIDE_GRIDS }, [at, requirements]);
  useHotkeys("y", () => void accept(), { enabled: canJudge }, [at, data]);
  useHotkeys(
    "x",
    () => setForm("return"),
    { enabled: canJudge && requirement?.kind === "document", preventDefault: true },
    [at, data],
  );
  useHotkeys(
    "q",
    () => setForm("ask"),
    {
      enabled:
        place !== null &&
        requirement?.kind !== "sections" &&
        requirement?.kind !== "deed" &&
        data.assessment.file.stage !== "preparing",
      preventDefault: true,
    },
    [at, data],
  );
  useHotkeys("c", () => void confirmAll(), { enabled: shows.length > 0 && requirement?.standing === "accepted" }, [
    at,
    data,
  ]);
  useHotkeys("u", () => void undo(), { enabled: undoable !== null }, [undoable]);
  useHotkeys("d", () => choose(-1), [requirements]);
  useHotkeys("escape", () => setForm("none"));

  const excuse = () => {
    if (!place || !requirement) return;
    let reason = "";
    void dialogs.confirm({
      title: `Excuse: ${requirement.title.en}`,
      icon: null,
      content: (
        <label>
          Why it is not needed from this applicant
          <textarea rows={3} style={{ width: "100%" }} onChange={(e) => (reason = e.target.value)} />
        </label>
      ),
      okText: "Excuse",
      onOk: async () => {
        after(await act("excuse-requirement", { ...place, reason }), `${requirement.title.en}: excused.`);
      },
    });
  };

  return (
    <div
      className="file-work"
      data-grid={shows.some((key) => readAnswerKey(key).section === "courses") ? "true" : undefined}
    >
      <nav className="requirements" aria-label="Requirements">
        <ul>
          {requirements.map((r, i) => (
            <li key={resultKey(r)}>
              <button type="button" aria-current={i === at ? "true" : undefined} onClick={() => choose(i)}>
                <span className="comb" data-turn={data.assessment.file.turn}>
                  <CombBar standing={r.standing} holds={i === firstOpen} />
                </span>
                <span className="what">
                  {r.title.en}
                  <span className="quiet note">{noteOf(data, r)}</span>
                </span>
                <span className="quiet">{standingWord(r)}</span>
              </button>
            </li>
          ))}
          <li>
            <button type="button" aria-current={at === -1 ? "true" : undefined} onClick={() => choose(-1)}>
              <span className="comb" />
              <span className="what">
                Decision
                <span className="quiet note">{data.assessment.choices.map((c) => c.eligibility).join(", ")}</span>
              </span>
              <span className="key">d</span>
            </button>
          </li>
        </ul>
        <KeyList keys={KEYS} />
      </nav>
      <section className="evidence" aria-label="Evidence">
        {requirement ? (
          <Evidence key={resultKey(requirement)} data={data} requirement={requirement} act={act} />
        ) : (
          <>
            <Cases data={data} act={act} />
            <Findings data={data} act={me.lead ? act : undefined} />
          </>
        )}
      </section>
      <section className="claims" aria-label="Claims, rules and acts">
        {said ? (
          <p role="status" className="said">
            {said}{" "}
            {undoable ? (
              <Button size="small" onClick={() => void undo()}>
                Undo <span className="key">u</span>
              </Button>
            ) : null}
          </p>
        ) : null}
        {requirement && place ? (
          <>
            <h2>
              {requirement.title.en} <span className="quiet">{standingWord(requirement)}</span>
            </h2>
            {form === "none" ? (
              <div className="presses">
                {canJudge ? (
                  <Button type="primary" onClick={() => void accept()}>
                    Accept <span className="key">y</span>
                  </Button>
                ) : null}
                {canJudge && requirement.kind === "document" ? (
                  <Button onClick={() => setForm("return")}>
                    Send back <span className="key">x</span>
                  </Button>
                ) : null}
                {canRaise ? <Button onClick={() => void accept("original seen")}>Original seen</Button> : null}
                {shows.length > 0 && requirement.standing === "accepted" ? (
                  <Button type="primary" onClick={() => void confirmAll()}>
                    Confirm {shows.length} as claimed <span className="key">c</span>
                  </Button>
                ) : null}
                {data.assessment.file.stage === "preparing" ? (
                  <p className="quiet">
                    The applicant is still preparing; nothing can be judged before it is submitted.
                  </p>
                ) : (
                  <>
                    {requirement.kind === "sections" ? (
                      <Button onClick={() => router.push("?show=form")}>Open sections for correction</Button>
                    ) : requirement.kind === "deed" ? null : (
                      <Button onClick={() => setForm("ask")}>
                        Ask <span className="key">q</span>
                      </Button>
                    )}
                    {["missing", "promised", "returned"].includes(requirement.standing) &&
                    (requirement.kind !== "fee" || me.lead) ? (
                      <Button onClick={excuse}>Excuse</Button>
                    ) : null}
                  </>
                )}
              </div>
            ) : (
              <ReturnForm
                kind={form}
                due={askDay}
                onCancel={() => setForm("none")}
                onSend={async (input) =>
                  form === "return"
                    ? after(
                        await act("return-evidence", { ...place, ...input }),
                        `${requirement.title.en}: sent back. The applicant is told in ten seconds.`,
                        place,
                      )
                    : after(
                        await act("ask-applicant", { ...place, text: input.text, due: input.due }),
                        "Asked. The applicant is told in ten seconds.",
                        place,
                      )
                }
              />
            )}
            <OpenAsks asks={asks} onSettle={settle} />
            <ValuePanel
              data={data}
              requirement={requirement}
              act={act}
              onConfirm={async (values, note) =>
                after(
                  await act("confirm-values", { values: [...values], note }),
                  values.length === 1 ? "Confirmed." : `${values.length} values confirmed.`,
                )
              }
              onTakeBack={async (line) => after(await act("take-back-line", line), "The line was taken out.")}
            />
            <Cases data={data} about={requirement} act={act} />
            <Findings data={data} about={requirement} />
          </>
        ) : (
          <>
            <OpenAsks asks={asks} onSettle={settle} />
            <DecisionPanel data={data} me={me} act={act} after={after} />
          </>
        )}
      </section>
    </div>
  );
}
