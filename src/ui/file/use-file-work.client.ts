"use client";

import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import {
  type AnswerPlace,
  type RequirementPlace,
  readAnswerKey,
  requirementKey,
  resultKey,
} from "../../core/file/place";
import { acceptedAs, isSupplied } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { UNDO_MS } from "../../core/file-acts/undo";
import type { ProofLevel } from "../../core/rulebook/requirement";
import { PROOF_WORDS } from "../../text/words/office";
import type { FileData } from "../../views/assessment/file-data";
import { requirementName } from "../assessment/entry-name";
import { OUTSIDE_GRIDS } from "../frame/keys";
import { useDialogs } from "../frame/library.client";
import { askWhy } from "./requirement-presses.client";

/**
 * Which requirement is looked at, what became of the last act, and the acts that keys and presses share.
 * @param only the key of the one requirement that is worked on, as in a check run; the cursor stays on it
 */
export function useFileWork(data: FileData, act: ActOnFile, only: string | null = null) {
  const dialogs = useDialogs();
  const requirements = data.assessment.requirements;
  const firstOpen = requirements.findIndex(
    (r) =>
      r.key === data.assessment.file.next?.requirement &&
      r.scope === data.assessment.file.next.scope &&
      r.entry === data.assessment.file.next.entry,
  );
  const deciding = firstOpen < 0 && ["rule", "decide", "release"].includes(data.assessment.file.next?.kind ?? "");
  const fixed = only === null ? -1 : requirements.findIndex((r) => resultKey(r) === only);
  const [moved, setAt] = useState(deciding ? -1 : Math.max(0, firstOpen));
  const at = only === null ? moved : fixed;
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

  // After an act of one's own the cursor goes with the next step of the office; what comes from elsewhere moves nothing.
  const acted = useRef(false);
  const { next, turn } = data.assessment.file;
  const step = `${next?.kind ?? ""} ${next?.requirement ?? ""} ${next?.scope ?? ""} ${next?.entry ?? ""}`;
  const stood = useRef(step);
  useEffect(() => {
    if (stood.current === step) return;
    stood.current = step;
    if (!acted.current || turn !== "office" || form !== "none") return;
    acted.current = false;
    if (firstOpen >= 0) setAt(firstOpen);
    else if (deciding) setAt(-1);
  }, [step, turn, form, firstOpen, deciding]);

  /** @param stays whether the cursor stays, as after an ask, whose words stand there */
  const after = (refused: string | null, done: string, undo: RequirementPlace | null = null, stays = false) => {
    setSaid(refused ?? done);
    setUndoable(refused ? null : undo);
    if (!refused) {
      setForm("none");
      acted.current = !stays;
    }
    return refused;
  };
  const choose = (index: number) => {
    // Whoever has moved on meanwhile stays where they went.
    acted.current = false;
    setAt(Math.max(-1, Math.min(requirements.length - 1, index)));
    setForm("none");
  };
  const shows = requirement ? (data.shows[resultKey(requirement)] ?? []) : [];
  const [judged, setJudged] = useState<ReadonlyMap<string, FileData>>(new Map());
  const checkable = requirement !== undefined && isSupplied(requirement) && data.assessment.file.stage !== "preparing";
  // What was judged on this very state of the file is not judged again by the next key, however soon it is pressed.
  const canJudge = checkable && requirement.standing === "to check" && judged.get(resultKey(requirement)) !== data;
  const canRaise =
    checkable &&
    requirement.kind === "document" &&
    requirement.standing === "accepted" &&
    requirement.owedProof !== null;
  /** Accepts what is looked at and goes on to the next at once; where it is refused, the cursor comes back. */
  const accept = async (proof: ProofLevel = acceptedAs(requirement), values: readonly AnswerPlace[] = []) => {
    if (!place || !requirement) return;
    const key = resultKey(requirement);
    const following = requirements.findIndex((r, i) => i > at && r.standing === "to check");
    setJudged((all) => new Map(all).set(key, data));
    setForm("none");
    if (following >= 0) setAt(following);
    const refused = await act("accept-evidence", { ...place, proof });
    setUndoable(refused ? null : place);
    if (refused) {
      setJudged((all) => new Map([...all].filter(([judgedKey]) => judgedKey !== key)));
      setAt(at);
      return setSaid(refused);
    }
    acted.current = true;
    const left = values.length === 0 ? null : await act("confirm-values", { values: [...values] });
    const confirmed =
      values.length === 0 ? "" : `, ${values.length} ${values.length === 1 ? "value" : "values"} confirmed`;
    const raised = proof === "copy" ? "" : ` as ${PROOF_WORDS[proof]}`;
    setSaid(left ?? `${requirementName(data, requirement)}: accepted${raised}${confirmed}.`);
  };
  /** One press for what stands in the document just as it was claimed: the document, and the values beside it. */
  const acceptWhole = () => accept(acceptedAs(requirement), shows.map(readAnswerKey));
  const undo = async () => {
    if (undoable) after(await act("undo-judgement", undoable), "Taken back.");
  };
  const settle = async ({ requirement: key, scope, entry }: FileData["asks"][number]) =>
    after(await act("settle-ask", { requirement: key, scope, entry }), "Settled. Nothing more is asked here.");
  /** Beside the decision: what was asked for at a requirement that the answers no longer lead to. */
  const asks = data.asks.filter((a) =>
    a.answeredAt !== null
      ? false
      : requirement
        ? requirementKey(a) === resultKey(requirement)
        : !requirements.some((r) => requirementKey(a) === resultKey(r)),
  );
  const confirmAll = async () => {
    if (shows.length === 0) return;
    const values = shows.map(readAnswerKey);
    after(
      await act("confirm-values", { values }),
      `${values.length} ${values.length === 1 ? "value" : "values"} confirmed.`,
    );
  };
  const excuse = () => {
    if (!place || !requirement) return;
    const name = requirementName(data, requirement);
    askWhy(dialogs, name, async (reason) => {
      after(await act("excuse-requirement", { ...place, reason }), `${name}: excused.`);
    });
  };

  return {
    at,
    firstOpen,
    choose,
    requirement,
    place,
    form,
    setForm,
    said,
    undoable,
    after,
    canJudge,
    canRaise,
    shows,
    asks,
    accept,
    acceptWhole,
    undo,
    settle,
    confirmAll,
    excuse,
  };
}

/** The same acts by their keys. */
export function useFileKeys(data: FileData, work: ReturnType<typeof useFileWork>): void {
  const { at, choose, requirement, place, setForm, canJudge, shows, accept, acceptWhole, undo, undoable, confirmAll } =
    work;
  const { requirements } = data.assessment;
  const router = useRouter();
  useHotkeys("j,down", () => choose(at + 1), { preventDefault: true, ...OUTSIDE_GRIDS }, [at, requirements]);
  useHotkeys("k,up", () => choose(at - 1), { preventDefault: true, ...OUTSIDE_GRIDS }, [at, requirements]);
  useHotkeys("y", () => void accept(), { enabled: canJudge }, [at, data]);
  useHotkeys("a", () => void acceptWhole(), { enabled: canJudge }, [at, data]);
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
  useHotkeys("shift+q", () => router.push("?show=asks"));
  useHotkeys("c", () => void confirmAll(), { enabled: shows.length > 0 && requirement?.standing === "accepted" }, [
    at,
    data,
  ]);
  useHotkeys("u", () => void undo(), { enabled: undoable !== null }, [undoable]);
  useHotkeys("d", () => choose(-1), [requirements]);
  useHotkeys("escape", () => setForm("none"));
}
