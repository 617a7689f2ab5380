"use client";

import { Button, Select } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { resultKey } from "../../core/file/place";
import type { RequirementResult } from "../../core/file/result";
import type { ActOnFile, FileActName } from "../../core/file-acts/file-acts";
import type { FileData } from "../../views/assessment/file-data";
import type { CheckRunData } from "../../views/checks/checks";
import { Evidence } from "../evidence/file-evidence.client";
import { RequirementPanel, Said } from "../file/requirement-panel.client";
import { useFileKeys, useFileWork } from "../file/use-file-work.client";
import { KeyList } from "../frame/key-list.client";
import { Wrong } from "../frame/wrong";

/** A file of the run, as it was when it was looked at last. */
export interface CheckItem {
  readonly data: FileData;
  readonly askDay: string;
}

export interface CheckWays {
  readonly next: (requirement: string, institution: string, passed: readonly string[]) => Promise<CheckItem | null>;
  readonly again: (number: string) => Promise<CheckItem | null>;
  readonly leave: (requirement: string) => Promise<void>;
  /** Leaves a file for later, also when the run is begun anew. */
  readonly later: (requirement: string, applicationId: string) => Promise<void>;
  readonly takeUp: (requirement: string) => Promise<void>;
  readonly act: (number: string, applicationId: string, name: FileActName, input: object) => Promise<string | null>;
}

const KEYS = [
  ["y", "accept"],
  ["a", "accept with its values"],
  ["c", "confirm the values"],
  ["x", "send back"],
  ["q", "ask"],
  ["s", "leave it for later, and the next one"],
  ["u", "undo the last one"],
  ["n, b", "next page, page before"],
  ["r, z", "turn, resize the page"],
] as const;

/** The file that was done last, and where something was judged in it, which can be taken back. */
interface Last {
  readonly number: string;
  readonly id: string;
  readonly place: object | null;
}

const JUDGES: readonly FileActName[] = ["accept-evidence", "return-evidence"];

function placeIn(input: object): object {
  const { requirement = "", scope = "", entry = "" } = input as Partial<Record<string, string>>; // a place of evidence: see the acts
  return { requirement, scope, entry };
}

/** The place of the run in a file that still has something to do: to check, or accepted with values that nobody has confirmed. */
function openPlace({ assessment, shows }: FileData, requirement: string): RequirementResult | undefined {
  const own = assessment.requirements.filter((r) => r.key === requirement);
  return (
    own.find((r) => r.standing === "to check") ??
    own.find((r) => r.standing === "accepted" && (shows[resultKey(r)] ?? []).length > 0)
  );
}

const minutes = (seconds: number): string =>
  seconds < 60 ? "less than a minute" : `about ${Math.round(seconds / 60)} ${seconds < 90 ? "minute" : "minutes"}`;

function Pace({ done, left, since }: { done: number; left: number; since: number }) {
  const each = done > 0 ? (Date.now() - since) / 1000 / done : 0;
  return (
    <span className="quiet" role="status">
      {left} to go{done > 0 ? ` · ${done} done, ${Math.round(each)} seconds each` : ""}
      {done > 1 && left > 0 ? ` · ${minutes(each * left)} more` : ""}
    </span>
  );
}

/** One file of a run: the evidence, and what stands beside it. */
function Item({
  item: { data, askDay },
  at,
  lead,
  act,
}: {
  item: CheckItem;
  at: RequirementResult;
  lead: boolean;
  act: ActOnFile;
}) {
  const work = useFileWork(data, act, resultKey(at));
  useFileKeys(data, work);
  return (
    <div className="file-work run">
      <section className="evidence" aria-label="Evidence">
        <Evidence key={resultKey(at)} data={data} requirement={at} act={act} />
      </section>
      <section className="claims" aria-label="Claims, rules and acts">
        <Said work={work} />
        <RequirementPanel data={data} lead={lead} askDay={askDay} act={act} work={work} />
      </section>
    </div>
  );
}

/** Works through one kind of evidence: what is done goes, the next is there before it is asked for. */
export function CheckRun({
  requirement,
  institution,
  run,
  lead,
  ways,
}: {
  requirement: string;
  institution: string;
  run: CheckRunData;
  lead: boolean;
  ways: CheckWays;
}) {
  const router = useRouter();
  const [item, setItem] = useState<CheckItem | null>(null);
  const [state, setState] = useState<"looking" | "there" | "over" | "failed">("looking");
  const [done, setDone] = useState(0);
  const [last, setLast] = useState<Last | null>(null);
  const [since] = useState(() => Date.now());
  // Each act loads the page's own data anew, in which what is done is gone already.
  const [begunWith] = useState(run.left);
  const [undone, setUndone] = useState<string | null>(null);
  const passed = useRef<string[]>([]);
  /** What comes next, the first first: one that is looked for while another is read, or one that somebody came back from. */
  const ahead = useRef<Promise<CheckItem | null>[]>([]);
  const remembering = useRef<Promise<void>>(Promise.resolve());
  const { next, again, leave, later: leaveItem, takeUp, act: doAct } = ways;
  /** How many were left for later, today or in this run. */
  const [waiting, setWaiting] = useState(run.later);

  const fetchNext = useCallback(async (): Promise<CheckItem | null> => {
    const found = await next(requirement, institution, passed.current);
    if (found) passed.current = [...passed.current, found.data.id];
    return found;
  }, [next, requirement, institution]);

  const forward = useCallback(async () => {
    setState("looking");
    try {
      const found = await (ahead.current.shift() ?? fetchNext());
      if (found && !openPlace(found.data, requirement)) return void forward();
      // Whoever is told that this was all may go: by then it is remembered what they left.
      if (!found) await remembering.current;
      setItem(found);
      setState(found ? "there" : "over");
      if (!found || ahead.current.length > 0) return;
      const after = fetchNext();
      after.catch(() => undefined);
      ahead.current.push(after);
    } catch {
      setState("failed");
    }
  }, [fetchNext, requirement]);

  const begun = useRef(false);
  useEffect(() => {
    if (!begun.current) {
      begun.current = true;
      void forward();
    }
  }, [forward]);
  // Whoever goes away lets go of what was before them, by whatever way; the act changes with each refresh, and must not end the run.
  const leaving = useRef(leave);
  useEffect(() => {
    leaving.current = leave;
  }, [leave]);
  useEffect(() => {
    const go = () => void leaving.current(requirement);
    window.addEventListener("pagehide", go);
    return () => {
      window.removeEventListener("pagehide", go);
      go();
    };
  }, [requirement]);

  const at = item ? openPlace(item.data, requirement) : undefined;
  const act: ActOnFile = async (name, input) => {
    if (!item) return null;
    const refused = await doAct(item.data.number, item.data.id, name, input as object);
    if (refused !== null) return refused;
    const fresh = await again(item.data.number);
    const judged = fresh === null || openPlace(fresh.data, requirement) === undefined;
    if (!judged) {
      setItem(fresh);
      return null;
    }
    setDone((n) => n + 1);
    setLast({ number: item.data.number, id: item.data.id, place: JUDGES.includes(name) ? placeIn(input) : null });
    await forward();
    return null;
  };
  const undo = async () => {
    if (!last?.place) return;
    const refused = await doAct(last.number, last.id, "undo-judgement", last.place);
    setUndone(refused);
    if (refused !== null) return;
    const back = await again(last.number);
    setLast(null);
    setDone((n) => Math.max(0, n - 1));
    if (!back) return;
    if (item && state === "there") ahead.current.unshift(Promise.resolve(item));
    setItem(back);
    setState("there");
  };
  const later = () => {
    setLast(null);
    setWaiting((n) => n + 1);
    // Who leaves something is not kept waiting for it to be remembered, while there is a next one.
    if (item) remembering.current = leaveItem(requirement, item.data.id).catch(() => undefined);
    void forward();
  };
  const takeUpAgain = async () => {
    await takeUp(requirement);
    passed.current = [];
    ahead.current = [];
    setWaiting(0);
    await forward();
  };
  useHotkeys("u", () => void undo(), { enabled: last !== null && last.place !== null }, [last, item, state]);
  useHotkeys("s", later, { enabled: state === "there" }, [state, forward, item]);
  const left = Math.max(0, begunWith - done);
  return (
    <div className="check-run">
      <header className="run-head">
        <h1>
          <Link href="/office/checks">Check run</Link>: {run.title}
        </h1>
        <Pace done={done} left={left} since={since} />
        {run.institutions.length > 1 ? (
          <Select
            aria-label="Only of one institution"
            value={institution || null}
            placeholder="Any institution"
            allowClear
            showSearch={{ optionFilterProp: "label" }}
            popupMatchSelectWidth={false}
            options={run.institutions.map((i) => ({ value: i.name, label: `${i.name} · ${i.files}` }))}
            onChange={(value?: string) =>
              router.push(
                `/office/checks/${encodeURIComponent(requirement)}${value ? `?institution=${encodeURIComponent(value)}` : ""}`,
              )
            }
          />
        ) : null}
        <KeyList keys={KEYS} />
      </header>
      {last ? (
        <p className="said" role="status">
          Done: <Link href={`/office/files/${last.number}`}>No. {last.number}</Link>.{" "}
          {last.place ? (
            <Button size="small" onClick={() => void undo()}>
              Undo <span className="key">u</span>
            </Button>
          ) : null}
        </p>
      ) : null}
      <Wrong text={undone} />
      {state === "there" && item && at ? (
        <>
          <p className="run-who">
            <Link href={`/office/files/${item.data.number}`} className="serif">
              {item.data.name || "No name yet"}
            </Link>{" "}
            <span className="quiet">
              No. {item.data.number} · {item.data.choices.map((c) => c.code).join(", ")}
              {item.data.groupTitle ? ` · ${item.data.groupTitle.en}` : ""}
            </span>{" "}
            <Button size="small" onClick={later}>
              Later <span className="key">s</span>
            </Button>
          </p>
          <Item key={`${item.data.id} ${resultKey(at)}`} item={item} at={at} lead={lead} act={act} />
        </>
      ) : state === "looking" ? (
        <p className="empty" aria-busy="true">
          The next one …
        </p>
      ) : state === "failed" ? (
        <p className="empty">
          The next one did not come. <Button onClick={() => void forward()}>Try again</Button>
        </p>
      ) : (
        <p className="empty">
          {done === 0
            ? "Nothing of this kind waits to be checked, or others have it before them."
            : `That was all: ${done} ${done === 1 ? "file" : "files"} checked. What you left for later, or others have before them, is not among it.`}{" "}
          {waiting > 0 ? (
            <>
              <Button onClick={() => void takeUpAgain()}>
                {waiting === 1 ? "Take up the one left for later" : `Take up the ${waiting} left for later`}
              </Button>{" "}
            </>
          ) : null}
          <Link href="/office/checks">To the other kinds</Link>
        </p>
      )}
    </div>
  );
}
